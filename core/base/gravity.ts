/** Standard gravity, in m/s². */
export const GRAVITY = 9.80665
