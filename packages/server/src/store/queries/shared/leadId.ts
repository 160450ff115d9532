/** Best to be shown first: what stands, what was said to us, the newest. */
export const leadOrder = `e.deleted_at IS NOT NULL, e.origin = 'heard', e.at DESC, e.id DESC`

/** The newest of what was said in a thread t, also in the moment before it is read. */
export const newestId = `(
       SELECT e.id
       FROM entries e
       WHERE e.thread_id = t.id AND e.direction <> 'out'
       ORDER BY ${leadOrder}
       LIMIT 1
     )`

/** The entry that a thread t is shown by; the newest where nothing of it has been read yet. */
export const leadId = `coalesce(t.lead_entry_id, ${newestId})`
