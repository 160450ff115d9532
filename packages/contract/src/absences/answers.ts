/** Days on which somebody is not there, and who looks after their threads. */
export interface Absence {
  colleagueId: number
  /** Days of the brand's zone as ISO 8601 writes them, the last one included. */
  from: string
  until: string
  /** A colleague or a team; both null: those who answer, each an equal share. */
  takeOver: number | null
  team: number | null
  /** It has begun, and their threads are with others. */
  begun: boolean
}

export interface Team {
  id: number
  name: string
  /** Ids of colleagues. */
  members: number[]
}
