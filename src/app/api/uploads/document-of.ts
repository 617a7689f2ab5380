import type { z } from "zod";
import type { uploadDocument } from "../../../acts/evidence/upload-document";
import type { SentFile } from "../receive-from";

/** A document for a requirement, as acts take it. */
export const documentOf = ({ told, document }: SentFile): z.input<(typeof uploadDocument)["input"]> => ({
  applicationId: told("applicationId"),
  requirement: told("requirement"),
  scope: told("scope"),
  entry: told("entry"),
  ...document,
});
