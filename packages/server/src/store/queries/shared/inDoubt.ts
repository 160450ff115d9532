/** Whether the sentiment of an entry is in doubt: read with less confidence than its brand asks for, and judged by nobody. */
export const inDoubt = (entry: string): string =>
  `(${entry}.sentiment <> 'unread' AND ${entry}.corrected_by IS NULL
     AND ${entry}.confidence < (SELECT b.doubt_below FROM brands b WHERE b.id = ${entry}.brand_id))`
