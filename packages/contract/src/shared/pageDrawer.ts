/** A page as a browser asks for it. */
export interface AskedPage {
  /** Path and query. */
  path: string
  /** How this browser shows things, as its cookie says. */
  cookie: string | null
  /** Languages of the browser, the most wanted first. */
  languages: readonly string[]
}

/** The first screen of a page, before there is anything to show on it. */
export interface FirstScreen {
  language: string
  /** Where the API is asked for what it shows, with the query. */
  addresses: readonly string[]
  /**
   * @param answers of the API, by address; one that is missing leaves its place empty
   * @returns markup; null where too little came to draw anything
   */
  draw(answers: Readonly<Record<string, unknown>>): Promise<string | null>
}

/** Draws first screens on the server, as the browser will draw them; built from the application itself. */
export interface PageDrawer {
  /** Name of the cookie that says how a browser shows things. */
  cookie: string
  /** Null for a page that draws itself. */
  firstScreen(asked: AskedPage): FirstScreen | null
}

/** Id of the element that holds what a drawn page came with, as JSON. */
export const knownElement = 'known'
