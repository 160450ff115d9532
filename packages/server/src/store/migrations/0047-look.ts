/** What the public sees of a brand: a colour and a logo. */
export const up = `
ALTER TABLE brands ADD colour text CHECK (colour ~ '^#[0-9a-f]{6}$'), ADD logo text;
CREATE INDEX brands_logo ON brands (logo) WHERE logo IS NOT NULL;
`
export const down = `
ALTER TABLE brands DROP logo, DROP colour;
`
