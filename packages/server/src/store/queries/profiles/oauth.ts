import type { Database } from '../../database.ts'

export const openFlow = async (
  db: Database,
  {
    state,
    brandId,
    colleagueId,
    network,
    verifier,
  }: { state: string; brandId: number; colleagueId: number; network: string; verifier: string },
): Promise<void> => {
  await db.rows(
    `INSERT INTO oauth_flows (state, brand_id, colleague_id, network, verifier)
     VALUES ($1, $2, $3, $4, $5)`,
    [state, brandId, colleagueId, network, verifier],
  )
}

/** A flow serves once, and only the colleague who began it. */
export const takeFlow = (
  db: Database,
  {
    state,
    brandId,
    colleagueId,
    minutes,
  }: { state: string; brandId: number; colleagueId: number; minutes: number },
): Promise<{ network: string; verifier: string } | undefined> =>
  db.one<{ network: string; verifier: string }>(
    `DELETE FROM oauth_flows
     WHERE state = $1
       AND brand_id = $2
       AND colleague_id = $3
       AND created_at > now() - $4::int * interval '1 minute'
     RETURNING network, verifier`,
    [state, brandId, colleagueId, minutes],
  )
