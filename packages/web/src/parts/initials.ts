/**
 * The first letters of a name, two at most.
 *
 * @example initialsOf('Ivo Oduya') // "IO"
 */
export const initialsOf = (name: string): string =>
  name
    .split(' ')
    .map((part) => [...part][0] ?? '')
    .join('')
    .slice(0, 2)
