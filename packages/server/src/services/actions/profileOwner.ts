/** Whose turn it is: actions of one profile go one after the other. */
export const profileOwner = (profileId: number) => `profile ${profileId}`
