export interface Replica {
  url(database: string): string
  stop(): void
  start(): Promise<void>
  remove(): void
}
export function freePort(preferred?: number): Promise<number>
export function startReplica(primary: string, folder: string): Promise<Replica>
