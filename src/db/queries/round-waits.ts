/** Whether a round opens only if places are left, and nobody has found that yet. */
export const roundWaits = (round: string): string => `(${round}.if_places_left and ${round}.announced_at is null)`;
