/**
 * An address as it is compared: no blanks around it, domain in ASCII and lower case, local part in lower case and without a `+tag`.
 * Mail always goes to the address as it was typed.
 * @returns null when it is no address
 */
export function emailKey(email: string): string | null {
  const parts = email.trim().normalize("NFKC").split("@");
  const [local = "", domain = ""] = parts;
  if (parts.length !== 2 || local === "" || !domain.includes(".")) return null;
  const ascii = asciiDomain(domain.replace(/\.$/u, ""));
  return ascii && `${local.toLowerCase().replace(/\+.*$/u, "")}@${ascii}`;
}

/** The form of a domain that travels, by the same rules as in addresses of pages. */
function asciiDomain(domain: string): string | null {
  try {
    return new URL(`http://${domain}`).hostname;
  } catch {
    return null;
  }
}
