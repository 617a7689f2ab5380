import type { FormCopy } from "../../core/form/form-copy";
import type { Picture } from "../../core/rulebook/requirement";
import type { Locale } from "../../core/text/local-text";
import { inspectDocument } from "../document/inspect";
import type { Inspection } from "../document/inspection";
import { type ChosenPage, joinPages } from "../document/pages";
import { type ReadElmo, readElmo } from "../elmo/read-elmo";
import { type ReadMail, readMail } from "../mail/read-mail";
import { type DossierDocument, type DossierWords, printDossier } from "../print/dossier";
import { printFormCopy } from "../print/form-copy";

/** A form in print, and behind it its documents where they are asked for. */
interface ToPrint {
  readonly copy: FormCopy;
  readonly locale: Locale;
  /** Epoch milliseconds. */
  readonly at: number;
  readonly dossier: {
    readonly number: string;
    readonly documents: readonly DossierDocument[];
    readonly words: DossierWords;
  } | null;
}

/** What is done with the bytes of strangers: in a process of its own, one at a time, that can be stopped. */
export const TASKS = {
  inspect: (input: {
    readonly bytes: Uint8Array;
    readonly name: string;
    readonly picture: Picture | null;
    /** The largest that is taken; left out, as everywhere. */
    readonly mostBytes?: number;
  }): Promise<Inspection> => inspectDocument(Buffer.from(input.bytes), input.name, input.mostBytes, input.picture),

  print: async ({ copy, locale, at, dossier }: ToPrint): Promise<Uint8Array> => {
    const form = await printFormCopy(copy, locale, new Date(at));
    return dossier ? printDossier(form, dossier.number, dossier.documents, dossier.words) : form;
  },

  /** Pages of several documents as one, looked at like what is sent; null where they cannot be put together. */
  "join-pages": async (input: {
    readonly sources: readonly { readonly bytes: Uint8Array; readonly mediaType: string }[];
    readonly pages: readonly ChosenPage[];
    readonly mostBytes: number;
  }): Promise<Inspection | null> => {
    const joined = await joinPages(input.sources, input.pages);
    return joined && inspectDocument(Buffer.from(joined), "joined.pdf", input.mostBytes);
  },

  /** Student results, with a look at each document that travels in them. */
  "read-results": async (input: {
    readonly bytes: Uint8Array;
    readonly locale: Locale;
    readonly fingerprints: readonly string[];
  }): Promise<{ readonly read: ReadElmo; readonly looked: readonly Inspection[] }> => {
    const read = readElmo(input.bytes, input.locale, new Set(input.fingerprints));
    const looked: Inspection[] = [];
    if (read.ok)
      for (const { base64, mediaType } of read.file.attachments)
        looked.push(await inspectDocument(Buffer.from(base64, "base64"), `x.${EXTENSION[mediaType] ?? ""}`));
    return { read, looked };
  },

  /** A mail that came in, with a look at each document that hangs on it; null where the bytes are no mail. */
  "read-mail": async (input: { readonly raw: Uint8Array; readonly most: number }): Promise<LookedMail | null> => {
    const read = await readMail(input.raw).catch(() => null);
    if (!read) return null;
    const { parts, ...mail } = read;
    const looked: LookedPart[] = [];
    for (const { name, bytes } of parts.slice(0, input.most))
      looked.push({ name, ...(await inspectDocument(Buffer.from(bytes), name)) });
    return { ...mail, looked, more: parts.slice(input.most).map(({ name }) => name) };
  },
};

type LookedPart = { readonly name: string } & Inspection;
export interface LookedMail extends Omit<ReadMail, "parts"> {
  readonly looked: readonly LookedPart[];
  /** Names of what hung on it beyond the most that is taken. */
  readonly more: readonly string[];
}

const EXTENSION: Readonly<Record<string, string>> = {
  "application/pdf": "pdf",
  "image/jpeg": "jpg",
  "image/png": "png",
};

export type Tasks = typeof TASKS;
export type TaskName = keyof Tasks;
export type TaskInput<Name extends TaskName> = Parameters<Tasks[Name]>[0];
export type TaskResult<Name extends TaskName> = Awaited<ReturnType<Tasks[Name]>>;

/** What passes between the processes. */
export interface Order {
  readonly name: TaskName;
  readonly input: unknown;
}
export type Answer = { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly message: string };
