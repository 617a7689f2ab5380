import { DOMParser, type Document, type Element } from "@xmldom/xmldom";

/** Why a file is not read at all. */
export type XmlRefusal = "too_large" | "not_xml" | "hostile" | "too_deep" | "too_many";

export type ReadXml =
  | { readonly ok: true; readonly document: Document; readonly root: Element; readonly text: string }
  | { readonly ok: false; readonly reason: XmlRefusal };

/** Attachments stand inside as base64, so a file of results may be large; its structure never is. */
export const MOST_XML_BYTES = 20 * 1024 * 1024;
const DEEPEST = 60;
const MOST_NODES = 50_000;
const TAG = /<(\/?)[\p{L}_][^<>]*?(\/?)>/gu;

const refused = (reason: XmlRefusal): ReadXml => ({ ok: false, reason });

/** How deep and how many, counted before anything is built. */
function shape(text: string): XmlRefusal | null {
  let depth = 0;
  let nodes = 0;
  for (const [, closes, alone] of text.matchAll(TAG)) {
    if (closes) depth -= 1;
    else {
      nodes += 1;
      if (!alone) depth += 1;
    }
    if (depth > DEEPEST) return "too_deep";
    if (nodes > MOST_NODES) return "too_many";
  }
  return null;
}

/**
 * Reads XML that a stranger sent: UTF-8, without a document type (so that no entity can be declared, expanded or fetched), within
 * limits of size, depth and number of elements. What is not well-formed is refused whole.
 */
export function readXml(bytes: Uint8Array): ReadXml {
  if (bytes.byteLength > MOST_XML_BYTES) return refused("too_large");
  let text: string;
  try {
    text = new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    return refused("not_xml");
  }
  const declared = /^<\?xml[^>]*encoding\s*=\s*["']([^"']+)["']/u.exec(text)?.[1];
  if (declared && !/^utf-?8$/iu.test(declared)) return refused("not_xml");
  if (/<!\s*(?:DOCTYPE|ENTITY|ELEMENT|ATTLIST|NOTATION)/iu.test(text)) return refused("hostile");
  const wrong = shape(text);
  if (wrong) return refused(wrong);
  try {
    const document = new DOMParser({
      onError: (level, message) => {
        if (level !== "warning") throw new Error(message);
      },
    }).parseFromString(text, "text/xml");
    const root = document.documentElement;
    return root ? { ok: true, document, root, text } : refused("not_xml");
  } catch {
    return refused("not_xml");
  }
}

const XML_NAMESPACE = "http://www.w3.org/XML/1998/namespace";

/** The child elements of a name, whatever prefix they have. */
export function childrenOf(element: Element, localName: string, namespace = element.namespaceURI): readonly Element[] {
  const found: Element[] = [];
  for (let node = element.firstChild; node; node = node.nextSibling) {
    const child = node as Element;
    if (node.nodeType === node.ELEMENT_NODE && child.localName === localName && child.namespaceURI === namespace)
      found.push(child);
  }
  return found;
}

/** The text of the first child of a name, trimmed; "" without one. */
export function textAt(element: Element | undefined, ...path: readonly string[]): string {
  let here = element;
  for (const name of path) here = here && childrenOf(here, name)[0];
  return here?.textContent?.trim() ?? "";
}

/** A text that may stand in several languages: the wanted one, else English, else the first. */
export function titleIn(element: Element, localName: string, language: string): string {
  const all = childrenOf(element, localName);
  const of = (lang: string) =>
    all.find((e) => e.getAttributeNS(XML_NAMESPACE, "lang")?.toLowerCase().startsWith(lang) === true);
  return (of(language) ?? of("en") ?? all[0])?.textContent?.trim() ?? "";
}
