/** Which of day and month comes first in dates such as 03/04/2026. */
export const dateOrders = ['dayFirst', 'monthFirst'] as const
export type DateOrder = (typeof dateOrders)[number]
