import { z } from "zod";
import { joinPages } from "../../../acts/evidence/join-pages";
import { joinPagesInput } from "../../../core/evidence/inputs";
import { MOST_JOINED_BYTES } from "../../../core/evidence/limits";
import { contentBytes } from "../../../db/content";
import { webRuntime } from "../../../runtime";
import { joinSources } from "../../../views/evidence/join-sources";
import { identity, perform, see } from "../../request";
import { readText } from "../read-body";
import { answerTo } from "../receive-from";
import { isSameOrigin } from "../same-origin";

const MOST_BYTES = 100_000;
const input = joinPagesInput.extend({ name: z.string().trim().min(1).max(120) });

/** Puts pages of several documents of a file together: they are laid in the workshop, and the act files what comes out. */
export async function POST(request: Request): Promise<Response> {
  if (!(await isSameOrigin(request))) return Response.json({ reason: "not-yours" }, { status: 403 });
  const person = await identity();
  if (!person) return Response.json({ reason: "signed-out" }, { status: 401 });
  const body = await readText(request, MOST_BYTES);
  const asked = input.safeParse(
    body === null || body === "" ? null : await new Response(body).json().catch(() => null),
  );
  if (!asked.success) return Response.json({ reason: "invalid-input" }, { status: 400 });
  const { applicationId, laid, name } = asked.data;
  const evidenceIds = [...new Set(laid.map((p) => p.evidenceId))];
  const sources = await see(joinSources, person.actor, { applicationId, evidenceIds });
  if (!sources) return Response.json({ reason: "already-done" }, { status: 422 });
  const refused = (document: string) => Response.json({ reason: "document-refused", document }, { status: 422 });
  if (sources.reduce((sum, s) => sum + s.bytes, 0) > MOST_JOINED_BYTES) return refused("too_large");
  const { pool, workshop } = await webRuntime();
  const done = await workshop.run(
    "join-pages",
    {
      sources: await Promise.all(
        sources.map(async ({ sha256, mediaType }) => ({ bytes: await contentBytes(pool, sha256), mediaType })),
      ),
      pages: laid.map(({ evidenceId, page, turn }) => ({
        source: sources.findIndex((s) => s.evidenceId === evidenceId),
        page,
        turn,
      })),
      mostBytes: MOST_JOINED_BYTES,
    },
    `person:${person.actor.id}`,
  );
  if (done === "busy") return refused("busy");
  if (done === "too-hard") return refused("too_hard");
  if (done === null) return refused("damaged");
  if (done.verdict === "refuse") return refused(done.reason);
  const { verdict: _verdict, ...document } = done;
  return answerTo(
    await perform(joinPages, person.actor, { ...asked.data, ...document, name: `${name}.pdf` }),
    (value) => value,
  );
}
