export interface Proxy {
  port: number
  /** How many requests each upstream has answered. */
  answered: number[]
  close(): Promise<void>
}
export function startProxy(upstreams: string[], options?: { port?: number }): Promise<Proxy>
