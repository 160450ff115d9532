/**
 * Joined to threads t and profiles p: who answers what was heard there. A search answers nothing itself; an account of ours on the same
 * network does, that of the whole brand first. A conversation that was handed on is answered by the other profile, once the
 * customer has left where it began.
 */
export const answeringProfile = `LEFT JOIN LATERAL (
       SELECT a.id, a.status, a.name, a.place_id
       FROM profiles a
       WHERE a.brand_id = p.brand_id AND a.network = p.network AND a.outside_id <> 'search' AND a.status <> 'disconnected'
       ORDER BY a.place_id NULLS FIRST, a.id
       LIMIT 1
     ) answering ON p.outside_id = 'search'
     LEFT JOIN handoffs h ON h.thread_id = t.id AND h.present_until < now()
     LEFT JOIN profiles hp ON hp.id = h.profile_id AND hp.status <> 'disconnected'`

/** Null when nobody can. */
export const answeringId = `CASE WHEN hp.id IS NOT NULL THEN hp.id WHEN p.outside_id = 'search' THEN answering.id ELSE p.id END`
export const answeringPlace = `CASE WHEN hp.id IS NOT NULL THEN hp.place_id WHEN p.outside_id = 'search' THEN answering.place_id ELSE p.place_id END`
export const answeringName = `coalesce(hp.name, answering.name, p.name)`
export const answeringStatus = `coalesce(hp.status, answering.status, p.status)`
/** The channel an answer goes out by. */
export const answeringChannel = 'coalesce(hp.channel, p.channel)'
