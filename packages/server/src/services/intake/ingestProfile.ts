/** What storing needs to know of a profile. */
export interface IngestProfile {
  id: number
  brandId: number
  placeId: number | null
  channel: string
  network: string
}
