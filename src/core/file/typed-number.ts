/** The number of a file, or the beginning of one after its year, however it was typed: `27-00031`, `27 00031`, `2700031`. Null for anything else. */
export function typedNumber(text: string): string | null {
  const typed = text.trim();
  const [, year, rest] = /^(\d{2})[\s-](\d{1,5})$/u.exec(typed) ?? /^(\d{2})(\d{5})$/u.exec(typed) ?? [];
  return year === undefined || rest === undefined ? null : `${year}-${rest}`;
}
