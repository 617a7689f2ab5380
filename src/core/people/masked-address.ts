/** An address of which its owner knows that it is theirs, and nobody else learns it: “k…@people.example”. */
export function maskedAddress(email: string): string {
  const at = email.lastIndexOf("@");
  return at < 1 ? "…" : `${email.slice(0, 1)}…${email.slice(at)}`;
}
