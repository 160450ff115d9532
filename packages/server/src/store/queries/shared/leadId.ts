/** Best to be shown first: what stands, what was said to us, the newest. */
export const leadOrder = `e.deleted_at IS NOT NULL, e.origin = 'heard', e.at DESC, e.id DESC`

/** The entry that a thread t is shown by, also in the moment before what has just arrived is read. */
export const leadId = `coalesce(t.lead_entry_id, (
       SELECT e.id
       FROM entries e
       WHERE e.thread_id = t.id AND e.direction <> 'out'
       ORDER BY ${leadOrder}
       LIMIT 1
     ))`
