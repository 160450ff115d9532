import { htmlText } from './htmlText.ts'

export const lastPart = (id: string): string => id.split('/').pop() ?? id

/** The text of an ActivityStreams 2.0 object: its content is HTML unless it says otherwise (section 4.2.2). */
export const activityText = ({ content, mediaType }: { content?: string; mediaType?: string }): string =>
  mediaType?.toLowerCase().startsWith('text/plain') ? (content ?? '') : htmlText(content ?? '')
