/** The environment by which PostgreSQL's programs find a database: on a command line its password could be read by others. */
export function pgEnv(url) {
  const { hostname, port, username, password, pathname } = new URL(url)
  return {
    ...process.env,
    PGHOST: hostname,
    PGPORT: port || '5432',
    PGUSER: decodeURIComponent(username),
    PGPASSWORD: decodeURIComponent(password),
    PGDATABASE: decodeURIComponent(pathname.slice(1)),
  }
}
