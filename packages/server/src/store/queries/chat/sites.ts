import type { Database, Tx } from '../../database.ts'

export interface ChatSite {
  profileId: number
  brandId: number
  brand: string
  placeId: number | null
  network: string
  key: string
  name: string
  origins: string[]
  answerWithin: number
  mailProfileId: number | null
  greeting: string
}

const columns = `s.profile_id AS "profileId", p.brand_id AS "brandId", b.name AS brand, p.place_id AS "placeId", p.network, p.outside_id AS key, p.name,
       s.origins, s.answer_within AS "answerWithin", s.greeting,
       -- One that is disconnected sends nothing.
       CASE WHEN m.status <> 'disconnected' THEN m.id END AS "mailProfileId"`
const from = `FROM chat_sites s
     JOIN profiles p ON p.id = s.profile_id
     JOIN brands b ON b.id = p.brand_id
     LEFT JOIN profiles m ON m.id = s.mail_profile_id`

/** A chat that is switched on, by the key its pages name. */
export const chatByKey = (db: Database, key: string): Promise<ChatSite | undefined> =>
  db.one<ChatSite>(
    `SELECT ${columns} ${from} WHERE p.channel = 'chat' AND p.outside_id = $1 AND p.status <> 'disconnected'`,
    [key],
  )

export const chatByProfile = (db: Database, profileId: number, tx?: Tx): Promise<ChatSite | undefined> =>
  db.one<ChatSite>(`SELECT ${columns} ${from} WHERE s.profile_id = $1`, [profileId], tx)

export const putChatSite = async (
  db: Database,
  site: {
    profileId: number
    name: string
    origins: readonly string[]
    answerWithin: number
    mailProfileId: number | null
    greeting: string
  },
  tx?: Tx,
): Promise<void> => {
  const { profileId, name, origins, answerWithin, mailProfileId, greeting } = site
  await db.rows(
    `INSERT INTO chat_sites (profile_id, origins, answer_within, mail_profile_id, greeting)
     VALUES ($1, $2::text[], $3, $4, $5)
     ON CONFLICT (profile_id) DO UPDATE SET origins = excluded.origins, answer_within = excluded.answer_within,
       mail_profile_id = excluded.mail_profile_id, greeting = excluded.greeting`,
    [profileId, [...origins], answerWithin, mailProfileId, greeting],
    tx,
  )
  await db.rows('UPDATE profiles SET name = $2 WHERE id = $1', [profileId, name], tx)
}
