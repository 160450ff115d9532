export interface Span {
  start: number
  end: number
}
