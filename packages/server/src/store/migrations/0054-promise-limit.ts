/** A promise of more money than this, in any currency, is doubted before it is sent; null: none is. */
export const up = `ALTER TABLE brands ADD promise_limit int DEFAULT 50 CHECK (promise_limit >= 0);`
export const down = `ALTER TABLE brands DROP promise_limit;`
