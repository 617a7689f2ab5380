import { z } from "zod";

/**
 * Where a page of files begins that is ordered by what is due first and then by number: `<moment>~<number>` of the last row before it.
 * An address that somebody spoilt leads to the first page.
 */
export const orderKey = z
  .string()
  .max(80)
  .refine((key) => Number.isFinite(Date.parse(key.split("~")[0] ?? "")))
  .nullable()
  .catch(null)
  .default(null);

export const orderKeyOf = (orderAt: Date, number: string): string => `${orderAt.toISOString()}~${number}`;

/** @returns the moment and the number, for `(order_at, number) > ($1, $2)`; null on the first page */
export function readOrderKey(key: string | null): readonly [moment: string, number: string] | null {
  const [moment = null, number = null] = key?.split("~") ?? [];
  return moment === null || number === null ? null : [moment, number];
}
