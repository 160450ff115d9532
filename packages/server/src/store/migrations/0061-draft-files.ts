/** Files stay with the draft they were put beside, and go with an answer that waits for a lead's word. */
export const up = `
ALTER TABLE attachments ADD draft_thread_id bigint REFERENCES threads ON DELETE SET NULL;
ALTER TABLE attachments ADD approval_id int REFERENCES approvals ON DELETE SET NULL;
CREATE INDEX attachments_draft ON attachments (draft_thread_id, colleague_id) WHERE draft_thread_id IS NOT NULL;
CREATE INDEX attachments_approval ON attachments (approval_id) WHERE approval_id IS NOT NULL;
`
export const down = `
ALTER TABLE attachments DROP approval_id;
ALTER TABLE attachments DROP draft_thread_id;
`
