/** What the pose is called that everything was read in so far, once a lift-in after it is named. */
export const FIRST_TRIAL = 'first lift-in'
