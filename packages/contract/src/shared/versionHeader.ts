/** Every answer of the server says in this header which build of the application it serves. */
export const versionHeader = 'x-murrabel-version'
