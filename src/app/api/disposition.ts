import contentDisposition from "content-disposition";

/** How a browser is to take what it gets: to be saved under a name (RFC 6266), or to be shown. */
export const disposition = (name: string, inline = false): string =>
  contentDisposition(name, { type: inline ? "inline" : "attachment" });
