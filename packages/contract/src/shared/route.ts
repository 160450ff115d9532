import type { Access } from './access.ts'

export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE'

/** A route: where it is, who may use it, what it takes and what it answers. The two types exist for the compiler only. */
export interface Route<Body, Answer> {
  method: Method
  path: string
  access: Access
  readonly body?: Body
  readonly answer?: Answer
}

const route =
  (method: Method) =>
  <Body, Answer>(path: string, access: Access): Route<Body, Answer> => ({ method, path, access })
export const get = <Answer>(path: string, access: Access) => route('GET')<undefined, Answer>(path, access)
export const post = <Body, Answer>(path: string, access: Access) => route('POST')<Body, Answer>(path, access)
export const put = <Body, Answer>(path: string, access: Access) => route('PUT')<Body, Answer>(path, access)
export const remove = <Answer>(path: string, access: Access) =>
  route('DELETE')<undefined, Answer>(path, access)

/** Puts values in the place of ":name" in a path. */
export function pathOf(path: string, params: Record<string, string | number> = {}): string {
  return path.replace(/:([a-z]+)/g, (_, name: string) => {
    const value = params[name]
    if (value === undefined) throw new Error(`pathOf: ${path} needs ${name}`)
    return encodeURIComponent(value)
  })
}
