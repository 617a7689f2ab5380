import { type Runtime, runAct } from "../acts/act/act";
import { noteEmptySearch } from "../acts/catalogue/empty-searches";
import { noteContact } from "../acts/contact/contact-notes";
import { saveText } from "../acts/conversation/texts";
import { keepTrayMail } from "../acts/mail/messages";
import { addNote, markFile } from "../acts/notes/notes";
import { acceptLink, changeRole, makeStaff, openAccount, tieAccount } from "../acts/people/accounts";
import { takeOwnerList } from "../acts/results/owner-lists";
import { keepRegistryRecord, setRegistryMode } from "../acts/results/registry";
import { noteAbsence, saveAssigning } from "../acts/turns/assigning";
import { keepList } from "../acts/turns/named-lists";
import type { AccountContext } from "../auth/accounts";
import type { Auth } from "../auth/better-auth";
import type { PlainDate } from "../core/ids";
import type { Actor, Grant, Role } from "../core/rights/actor";
import { IN_PLACE } from "../formats/workshop/in-place";
import { runJob } from "../jobs/handlers";
import { type MailService, trayMail } from "../outside/mail";
import { simulatedRegistry } from "../outside/registry";
import { identityOf } from "../views/people/identity";
import { registryStore } from "../views/results/registry-store";
import { act } from "./applicant";
import { loadCatalogue, momentFrom } from "./catalogue";
import { playStory, type Stage } from "./load";
import { OWNER_LIST } from "./owner-list";
import type { Profile } from "./profile";
import { REGISTRY_RECORDS } from "./registry";
import { stories } from "./stories";

/** One password for everybody in the demo; it is printed when the demo starts. */
export const DEMO_PASSWORD = "tide-and-harbour";

export const DEMO_STAFF: readonly {
  readonly key: string;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
  readonly also?: Grant;
}[] = [
  {
    key: "officer",
    name: "Runa Okonjo",
    email: "r.okonjo@merrow.example",
    role: "officer",
    also: { role: "standards keeper", scope: "*" },
  },
  {
    key: "second",
    name: "Padraig Hennessy",
    email: "p.hennessy@merrow.example",
    role: "officer",
    also: { role: "adviser", scope: "*" },
  },
  {
    key: "lead",
    name: "Tadhg Breen",
    email: "t.breen@merrow.example",
    role: "lead officer",
    also: { role: "standards keeper", scope: "*" },
  },
  { key: "other lead", name: "Solveig Arrindell", email: "s.arrindell@merrow.example", role: "lead officer" },
  { key: "finance", name: "Inés Tollemache", email: "i.tollemache@merrow.example", role: "finance" },
  { key: "administrator", name: "Mireille Castagnier", email: "m.castagnier@merrow.example", role: "administrator" },
];

/** What visitors of the demo's finder looked for in vain. */
const SEARCHED_IN_VAIN = [
  { words: "scientific diving" },
  { words: "law of the sea" },
  { words: "scientific diving" },
  { words: "aquaculture licence" },
  { words: "coastal engineering", campus: "afar" },
  { words: "foundation year", campus: "region the islands" },
];

const SYSTEM: Actor = { kind: "system" };
const VISITOR: Actor = { kind: "visitor" };

/** What the office writes again and again. */
const OFFICE_TEXTS = [
  {
    name: "Thanks, nothing more is needed",
    uses: ["message"],
    en: "Dear {name},\n\nThank you. Nothing more is needed for {programme} at present; your application No. {number} goes on as it is.\n\n{officer}",
    fr: "Bonjour {name},\n\nMerci. Rien d’autre n’est nécessaire pour {programme} à présent ; votre candidature n° {number} suit son cours.\n\n{officer}",
  },
  {
    name: "Both degrees count",
    uses: ["message"],
    en: "Dear {name},\n\nBoth of your degrees count. Each is carried over on its own scale, and the mean of both is what we go by.\n\n{officer}",
    fr: "Bonjour {name},\n\nVos deux diplômes comptent. Chacun est converti sur sa propre échelle, et nous retenons la moyenne des deux.\n\n{officer}",
  },
  {
    name: "When we decide",
    uses: ["message"],
    en: "Dear {name},\n\nWe expect to have worked through your application by {by}. You need to do nothing until then.\n\n{officer}",
    fr: "Bonjour {name},\n\nNous pensons avoir étudié votre candidature d’ici au {by}. Vous n’avez rien à faire d’ici là.\n\n{officer}",
  },
  {
    name: "A sworn translation, please",
    uses: ["ask", "return"],
    en: "Please send a translation into English or French by a sworn translator, with its stamp, together with the original.",
    fr: "Veuillez envoyer une traduction en français ou en anglais par un traducteur assermenté, avec son cachet, accompagnée de l’original.",
  },
  {
    name: "Signed and stamped by the school",
    uses: ["return"],
    en: "Your school has to sign or stamp it, or send us a version that can be verified. Your application No. {number} waits for it.",
    fr: "Votre école doit le signer ou le tamponner, ou nous en envoyer une version vérifiable. Votre candidature n° {number} l’attend.",
  },
] as const;

/** What applicants asked on the phone: some of it again and again, because a help text does not say it. */
const CALLS = [
  { about: "courses", question: "Which subject area has a field course?" },
  { about: "education", question: "Does the day of the ceremony count as the award?" },
  { about: "courses", question: "Do failed courses have to be entered?" },
  { about: "courses", question: "Which subject area has a field course?" },
  { about: "referees", question: "May somebody from the family be a referee?" },
] as const;

/** A call to each of as many applicants as have left a number and are asked about that section. */
async function noteCalls(ctx: DemoContext, officer: Actor): Promise<void> {
  const { rows } = await ctx.runtime.pool.query<{ applicationId: string; sections: string[] }>(
    `select a.application_id as "applicationId", array(select distinct w.section from answer w where w.application_id = a.application_id) as sections
     from answer a join file_standing s on s.application_id = a.application_id
     where a.section = 'contact' and a.field = 'phone' and not a.dormant and s.stage not in ('preparing', 'closed') order by s.number`,
  );
  const place = { scope: "file", section: "contact", entry: "", field: "phone" };
  for (const [i, { about, question }] of CALLS.entries()) {
    const asked = rows.filter((r) => r.sections.includes(about));
    const caller = asked[i % Math.max(1, asked.length)];
    if (!caller) continue;
    const { applicationId } = caller;
    await act(ctx.runtime, noteContact, officer, {
      applicationId,
      ...place,
      kind: "talked",
      text: "",
      about,
      question,
    });
  }
}

/** What officers note for each other, and the marks that they put on files. */
async function noteInFiles(
  { runtime }: DemoContext,
  staff: Stage["staff"],
  made: readonly { readonly key: string; readonly number: string }[],
): Promise<void> {
  const { rows } = await runtime.pool.query<{ id: string; number: string }>("select id, number from application");
  const fileOf = (key: string) => {
    const number = made.find((m) => m.key === key)?.number;
    const file = rows.find((r) => r.number === number);
    if (!file) throw new Error(`the demo has no ${key}`);
    return { applicationId: file.id };
  };
  const lead = staff.lead.kind === "person" ? [staff.lead.id] : [];
  await act(runtime, addNote, staff.officer, {
    ...fileOf("doctoral-sent"),
    text: "Two passages of the plan stand in another plan, too. Would you read both before I ask?",
    mentions: lead,
  });
  for (const key of ["doctoral-sent", "doctoral-ruled"])
    await act(runtime, markFile, staff.officer, { ...fileOf(key), mark: "talk to the supervisor" });
  await act(runtime, markFile, staff.second, { ...fileOf("boats-checked"), mark: "call in the evening" });
}

/** Who works on what: boats and diving go by the letter, all else to who has the fewest; and who is away next week. */
async function shareWork(
  { runtime }: DemoContext,
  { officer, second }: Stage["staff"],
  anchor: PlainDate,
): Promise<void> {
  const idOf = (actor: Actor) => (actor.kind === "person" ? [actor.id] : []);
  const [runa, padraig] = [idOf(officer), idOf(second)];
  const rule = { programmes: [], groups: [], from: "", to: "", officers: [...runa, ...padraig] };
  const byLetter = { ...rule, programmes: ["BHT", "GBC"] };
  await act(runtime, saveAssigning, SYSTEM, {
    version: 0,
    rules: [
      { ...byLetter, to: "L", officers: padraig },
      { ...byLetter, from: "M", officers: runa },
      { ...rule, programmes: ["PCS"], officers: padraig },
      rule,
    ],
  });
  const dayFrom = (days: number) => momentFrom(anchor, days, "12:00").slice(0, 10);
  for (const personId of padraig)
    for (const coverId of runa)
      await act(runtime, noteAbsence, second, { personId, coverId, from: dayFrom(9), until: dayFrom(13) });
}

export interface DemoContext extends AccountContext {
  readonly baseUrl: string;
  readonly moveTo: (instant: Date) => void;
  readonly say: (done: number, of: number, what: string) => void;
  readonly after?: Stage["after"];
}

/** The link in the mail that waits for somebody: the demo's people open their mail, too. */
async function linkFor(runtime: Runtime, email: string): Promise<string> {
  const { rows } = await runtime.pool.query<{ link: string }>(
    "select values->>'link' as link from message where to_address = $1 and values ? 'link' order by queued_at desc limit 1",
    [email],
  );
  return rows[0]?.link.replace("/link/", "") ?? "";
}

async function account(ctx: AccountContext, email: string, name: string, verified: boolean): Promise<string> {
  const context = await ctx.auth.$context;
  const user = await context.internalAdapter.createUser(
    { email, name, emailVerified: verified },
    { method: "email-password" },
  );
  await context.internalAdapter.linkAccount({
    userId: user.id,
    providerId: "credential",
    accountId: user.id,
    password: await hashOnce(ctx),
  });
  return user.id;
}

const hashes = new WeakMap<Auth, Promise<string>>();

/** Everybody has the same password, so it is hashed once. */
function hashOnce({ auth }: AccountContext): Promise<string> {
  const known = hashes.get(auth) ?? auth.$context.then((context) => context.password.hash(DEMO_PASSWORD));
  hashes.set(auth, known);
  return known;
}

async function actorOf(runtime: Runtime, accountId: string): Promise<Actor> {
  const identity = await identityOf(runtime.pool, accountId, runtime.now());
  if (!identity) throw new Error("a person of the demo was not made");
  return identity.actor;
}

/** An applicant with a confirmed account. */
export async function makeApplicant(ctx: AccountContext, profile: Profile): Promise<Actor> {
  const name = [profile.given, profile.family].filter(Boolean).join(" ");
  await act(ctx.runtime, openAccount, SYSTEM, {
    name,
    email: profile.email,
    locale: profile.locale,
    consentVersion: "2026-09-01",
  });
  const { personId } = await act(ctx.runtime, acceptLink, VISITOR, {
    token: await linkFor(ctx.runtime, profile.email),
    purpose: "confirm address",
  });
  const accountId = await account(ctx, profile.email, name, true);
  await act(ctx.runtime, tieAccount, SYSTEM, { personId, accountId });
  return actorOf(ctx.runtime, accountId);
}

/** A member of staff who has set the demo's password. */
export async function makeStaffMember(ctx: AccountContext, member: (typeof DEMO_STAFF)[number]): Promise<Actor> {
  const { personId } = await act(ctx.runtime, makeStaff, SYSTEM, {
    name: member.name,
    email: member.email,
    role: member.role,
  });
  if (member.also) await act(ctx.runtime, changeRole, SYSTEM, { personId, ...member.also, held: true });
  await act(ctx.runtime, acceptLink, VISITOR, {
    token: await linkFor(ctx.runtime, member.email),
    purpose: "set password",
  });
  const accountId = await account(ctx, member.email, member.name, true);
  await act(ctx.runtime, tieAccount, SYSTEM, { personId, accountId });
  return actorOf(ctx.runtime, accountId);
}

/** Loads the whole demo, the same way every time, relative to its anchor day; the clock ends at the anchor's morning. */
export async function loadDemo(
  ctx: DemoContext,
  anchor: PlainDate,
): Promise<readonly { readonly key: string; readonly number: string }[]> {
  const keep = async (mail: { messageId: string; to: string; subject: string; body: string }) => {
    await runAct(ctx.runtime, keepTrayMail, SYSTEM, {
      messageId: mail.messageId,
      toAddress: mail.to,
      subject: mail.subject,
      body: mail.body,
    });
  };
  const mail: MailService = trayMail(keep);
  const registry = simulatedRegistry(registryStore(ctx.runtime.pool));
  const jobs = { runtime: ctx.runtime, mail, registry, workshop: IN_PLACE, baseUrl: ctx.baseUrl };
  const drain = async () => {
    await runJob(jobs, "reassess-aged", {});
    await runJob(jobs, "sweep-messages", {});
  };
  ctx.moveTo(new Date(momentFrom(anchor, -70, "09:00")));
  const { roundId, rounds, start } = await loadCatalogue(ctx.runtime, anchor);
  const staff = Object.fromEntries(
    await Promise.all(DEMO_STAFF.map(async (m) => [m.key, await makeStaffMember(ctx, m)] as const)),
  ) as Stage["staff"]; // keyed by DEMO_STAFF
  for (const record of REGISTRY_RECORDS)
    await act(ctx.runtime, keepRegistryRecord, SYSTEM, { ...record, results: [...record.results] });
  await drain();
  const stage: Stage = {
    runtime: ctx.runtime,
    moveTo: ctx.moveTo,
    drain,
    askRegistry: (queryId) => runJob(jobs, "ask-registry", { queryId }),
    anchor,
    roundId,
    rounds,
    staff,
    after: ctx.after,
    applicantFor: (profile) => makeApplicant(ctx, profile),
  };
  const all = [...stories(anchor, start as PlainDate)].sort(
    (a, b) => (a.moments[0]?.day ?? 0) - (b.moments[0]?.day ?? 0),
  );
  const made: { key: string; number: string }[] = [];
  for (const story of all) {
    made.push({ key: story.key, number: await playStory(stage, story) });
    ctx.say(made.length, all.length, [story.profile.given, story.profile.family].filter(Boolean).join(" "));
  }
  await act(ctx.runtime, setRegistryMode, SYSTEM, { down: false, delayMs: 1500 });
  await noteInFiles(ctx, staff, made);
  await shareWork(ctx, staff, anchor);
  for (const text of OFFICE_TEXTS)
    await act(ctx.runtime, saveText, staff.lead, { ...text, uses: [...text.uses], textId: null, version: null });
  await act(ctx.runtime, keepList, staff.lead, {
    name: "Estuary, to check",
    query: "turn=office&reason=check&with=programme%3AMES",
    shared: true,
  });
  ctx.moveTo(new Date(momentFrom(anchor, -2, "16:20")));
  for (const search of SEARCHED_IN_VAIN) await act(ctx.runtime, noteEmptySearch, VISITOR, search);
  await noteCalls(ctx, staff.officer);
  ctx.moveTo(new Date(momentFrom(anchor, 0, "08:00")));
  const { listId } = await act(ctx.runtime, takeOwnerList, staff.officer, OWNER_LIST);
  await runJob(jobs, "match-results", { listId });
  await drain();
  await ctx.runtime.boss.purgeQueue("send-message");
  await ctx.runtime.boss.purgeQueue("assign-file");
  return made;
}
