import { rulebookJsonSchema } from "../../../core/rulebook/json-schema";

/** The published JSON Schema of rulebooks, for whoever writes or reads them with other tools. */
export function GET(): Response {
  return Response.json(rulebookJsonSchema(), { headers: { "content-type": "application/schema+json" } });
}
