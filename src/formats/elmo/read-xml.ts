import { DOMParser, type Document, type Element } from "@xmldom/xmldom";
import { SaxesParser } from "saxes";

/** Why a file is not read at all. */
export type XmlRefusal = "too_large" | "not_xml" | "hostile" | "too_deep" | "too_many";

export type ReadXml =
  | { readonly ok: true; readonly document: Document; readonly root: Element; readonly text: string }
  | { readonly ok: false; readonly reason: XmlRefusal };

/** Attachments stand inside as base64, so a file of results may be large; its structure never is. */
export const MOST_XML_BYTES = 20 * 1024 * 1024;
const DEEPEST = 60;
const MOST_NODES = 50_000;

const refused = (reason: XmlRefusal): ReadXml => ({ ok: false, reason });

class Refusal extends Error {
  constructor(readonly reason: XmlRefusal) {
    super(reason);
  }
}

const refuse = (reason: XmlRefusal): never => {
  throw new Refusal(reason);
};

/** Reads through a text once without building anything: whether it is well-formed, declares nothing, and how deep and how much it is. */
function whyNot(text: string): XmlRefusal | null {
  let depth = 0;
  let elements = 0;
  const reader = new SaxesParser({ xmlns: true });
  reader.on("doctype", () => refuse("hostile"));
  reader.on("error", () => refuse("not_xml"));
  reader.on("opentag", () => {
    depth += 1;
    elements += 1;
    if (depth > DEEPEST) refuse("too_deep");
    if (elements > MOST_NODES) refuse("too_many");
  });
  reader.on("closetag", () => {
    depth -= 1;
  });
  try {
    reader.write(text).close();
    return null;
  } catch (error) {
    if (error instanceof Refusal) return error.reason;
    throw error;
  }
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
  const wrong = whyNot(text);
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
