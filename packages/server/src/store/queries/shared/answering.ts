/**
 * Joined to profiles p: who answers what was heard there. A search answers nothing itself; an account of ours on the same
 * network does, that of the whole brand first.
 */
export const answeringProfile = `LEFT JOIN LATERAL (
       SELECT a.id, a.status, a.name, a.place_id
       FROM profiles a
       WHERE a.brand_id = p.brand_id AND a.network = p.network AND a.outside_id <> 'search' AND a.status <> 'disconnected'
       ORDER BY a.place_id NULLS FIRST, a.id
       LIMIT 1
     ) answering ON p.outside_id = 'search'`

/** Null when nobody can. */
export const answeringId = `CASE WHEN p.outside_id = 'search' THEN answering.id ELSE p.id END`
export const answeringPlace = `CASE WHEN p.outside_id = 'search' THEN answering.place_id ELSE p.place_id END`
export const answeringName = `coalesce(answering.name, p.name)`
export const answeringStatus = `coalesce(answering.status, p.status)`
