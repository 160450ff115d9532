/** Classes of SQLSTATE that say something of the moment and nothing of the data: connection, transaction, resources, locks, the server. */
const passing = ['08', '25', '40', '53', '55', '57', '58', 'XX']
const passingNames = /^Sequelize(Connection|HostNotFound|HostNotReachable|AccessDenied|InvalidConnection)/
const passingCodes = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOTFOUND',
  'WORKER_ENDED',
])

/** Whether a failure comes from what was to be stored, so that doing it again would fail again. */
export function isOfTheData(error: unknown): boolean {
  const {
    name = '',
    code,
    original,
  } = error as {
    name?: string
    code?: string
    original?: { code?: string; message?: string }
  }
  if (passingNames.test(name)) return false
  const state = original?.code ?? code ?? ''
  if (passingCodes.has(state) || /Connection terminated/.test(original?.message ?? '')) return false
  // 57014 is a statement that took too long: of the data, most of the time.
  return state === '57014' || !passing.includes(state.slice(0, 2))
}
