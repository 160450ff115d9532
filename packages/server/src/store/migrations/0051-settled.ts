/**
 * Up to when what somebody wrote was finished without an answer: whoever thanks us, is finished with, and asks something months
 * later has waited since the question.
 */
export const up = `ALTER TABLE threads ADD settled_at timestamptz;`
export const down = `ALTER TABLE threads DROP settled_at;`
