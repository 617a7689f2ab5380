/** The header that names a download: plain letters for old readers, everything else beside it (RFC 6266). */
export function disposition(name: string, inline = false): string {
  const ascii = name.replace(/[^\x20-\x7e]|["\\]/gu, "_");
  return `${inline ? "inline" : "attachment"}; filename="${ascii}"; filename*=UTF-8''${encodeURIComponent(name)}`;
}
