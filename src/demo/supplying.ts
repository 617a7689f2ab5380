import type { Runtime } from "../acts/act/act";
import { requestReference } from "../acts/references/request-reference";
import { AnswerIndex } from "../core/answers/answer-index";
import type { LoadedFile } from "../core/file/loaded-file";
import type { Actor } from "../core/rights/actor";
import type { Picture } from "../core/rulebook/requirement";
import { act, supply } from "./applicant";
import { certificate, paper, passport, picture, transcript } from "./documents";
import { look } from "./filling";
import type { Profile } from "./profile";

/** Supplies any file with what its rulebooks ask for: papers that the demo knows how to print, else a sheet with the title of the paper. */
type Supplied = { readonly key: string; readonly entry: string; readonly title: { readonly en: string } };

/** The degree that a paper is about, and its courses, as they were typed. */
function typedDegree(profile: Profile, { facts }: LoadedFile, entry: string): Profile {
  const text = (section: string, id: string, field: string, usual: string) => {
    const value = facts.answers.find((a) => a.section === section && a.entry === id && a.field === field)?.value;
    return typeof value === "string" ? value : usual;
  };
  const { degree } = profile;
  const own = Object.fromEntries(
    Object.entries(degree).map(([field, usual]) => [field, text("education", entry, field, usual)]),
  ) as typeof degree; // field by field the same keys, each a text
  const ids = [...new Set(facts.answers.filter((a) => a.section === "courses" && a.entry !== "").map((a) => a.entry))];
  return {
    ...profile,
    degree: own,
    courses: ids
      .filter((id) => text("courses", id, "degree", entry) === entry)
      .map((id) => ({
        title: text("courses", id, "title", ""),
        credits: text("courses", id, "credits", ""),
        area: text("courses", id, "area", ""),
        status: text("courses", id, "status", "completed") === "completed" ? "completed" : "in progress",
        grade: [text("courses", id, "marksObtained", ""), text("courses", id, "marksTotal", "")]
          .filter(Boolean)
          .join(" of ")
          .concat(text("courses", id, "grade", "")),
      })),
  };
}

/** The paper that a requirement asks for: what the demo knows how to print, else a sheet with its title. */
function paperFor({ key, entry, title }: Supplied, profile: Profile, loaded: LoadedFile, now: Date): Promise<Buffer> {
  switch (key) {
    case "passport":
      return passport(profile, now);
    case "certificate":
      return certificate(typedDegree(profile, loaded, entry), now);
    case "transcript":
      return transcript(typedDegree(profile, loaded, entry), now);
    default:
      return paper(title.en, profile, now);
  }
}

function pictureAsked({ rulebooks }: LoadedFile, key: string): Picture | undefined {
  const asked = Object.values(rulebooks)
    .flatMap((r) => r.body.requirements)
    .find((r) => r.key === key);
  return asked?.kind === "document" ? asked.picture : undefined;
}

/** Supplies a sheet for every document that is still missing, and asks every referee who is named. */
export async function supplyAny(
  runtime: Runtime,
  actor: Actor,
  applicationId: string,
  profile: Profile,
): Promise<void> {
  const { assessment, loaded } = await look(runtime, applicationId);
  for (const r of assessment.requirements) {
    if (r.kind !== "document" || r.standing !== "missing") continue;
    const size = pictureAsked(loaded, r.key);
    const bytes = size ? await picture(size) : await paperFor(r, profile, loaded, runtime.now());
    await supply(
      runtime,
      actor,
      applicationId,
      r.key,
      r.entry,
      `${r.title.en}.${size ? "png" : "pdf"}`,
      bytes,
      r.scope,
    );
  }
  const referees = loaded.facts.answers.filter((a) => a.section === "referees" && a.entry !== "").map((a) => a.entry);
  for (const referee of new Set(referees)) await act(runtime, requestReference, actor, { applicationId, referee });
}

/** The entries of a list of the form, in their order. */
export async function entriesOf(runtime: Runtime, applicationId: string, section: string): Promise<readonly string[]> {
  const { loaded } = await look(runtime, applicationId);
  return new AnswerIndex(loaded.facts).entries("file", section);
}
