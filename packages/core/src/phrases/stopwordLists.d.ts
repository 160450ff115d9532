declare module 'stopword' {
  export const eng: string[]
  export const fra: string[]
  export const spa: string[]
  export const deu: string[]
}
