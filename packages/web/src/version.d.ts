/** The build this page belongs to. */
declare const __VERSION__: string
