/** Before the number of a defect: our own records could not be reached, and nothing is wrong with what was asked. */
export const AWAY = "away-";
