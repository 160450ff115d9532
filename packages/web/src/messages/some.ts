/** Some texts of a whole: what is missing is shown in English. */
export type Some<T> = {
  [K in keyof T]?: T[K] extends string
    ? string
    : T[K] extends readonly string[]
      ? readonly string[]
      : Some<T[K]>
}
