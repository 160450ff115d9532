/** The project's folder. */
export const root: string
/** The folder of PostgreSQL's programs. */
export function ensurePostgres(): string
/** Path of Debian's Chromium without windows. */
export const chromiumProgram: string
