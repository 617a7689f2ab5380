import { readdirSync } from "node:fs";
import path from "node:path";
import pg from "pg";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { newPerson, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

const APP = path.join(process.cwd(), "src", "app");

/** Who asks: the owner of the file, and everybody who is not. "Elsewhere" works on another programme. */
const WHO = {
  owner: "pedro.anselmovaz@people.example",
  "other applicant": "nilufar.rahmonqulova@people.example",
  officer: "r.okonjo@merrow.example",
  "officer elsewhere": "p.hennessy@merrow.example",
  "lead officer": "t.breen@merrow.example",
  finance: "elodie.marchetti@people.example",
  assessor: "sakura.minamotolee@people.example",
  adviser: "mateus.quintelafaria@people.example",
  administrator: "m.castagnier@merrow.example",
} as const;
type Who = keyof typeof WHO | "visitor";
const PEOPLE = Object.keys(WHO) as readonly (keyof typeof WHO)[];
const ALL: readonly Who[] = ["visitor", ...PEOPLE];
const OFFICERS: readonly Who[] = ["officer", "lead officer"];
const OFFICE: readonly Who[] = [...OFFICERS, "officer elsewhere"];
const READERS: readonly Who[] = [...OFFICE, "administrator"];
const LEADERS: readonly Who[] = ["lead officer", "administrator"];
const KEEPERS: readonly Who[] = ["officer", "lead officer", "administrator"];
const ADMINISTRATOR: readonly Who[] = ["administrator"];
const NOBODY: readonly Who[] = [];

/** Who gets an answer to a question, by the folder of its address. */
const QUESTIONS: Readonly<Record<string, readonly Who[]>> = {
  "api/access": ADMINISTRATOR,
  "api/applications/[number]/copies": PEOPLE,
  "api/copies/[order]": ["officer"],
  "api/documents/[upload]": ["owner", ...OFFICERS],
  "api/figures": OFFICE,
  "api/incoming/[mail]/[no]": OFFICE,
  "api/institutions": ALL,
  "api/link-copies/[sha256]": NOBODY,
  "api/my-data": PEOPLE,
  "api/page-counts": READERS,
  "api/peek/[number]": OFFICERS,
  "api/post": OFFICE,
  "api/quick-find": READERS,
  "api/register": READERS,
  "api/rulebook-schema": ALL,
  "api/rulebooks/[id]": READERS,
  "api/scales": ALL,
  "api/standards": READERS,
  "api/templates/[sha256]": NOBODY,
  "api/turn-facets": OFFICE,
  "api/turns": OFFICE,
  "api/turns/digest": OFFICE,
  health: ALL,
};

/** Who may send something, by the folder of its address. What is sent says nothing: who may is told so in other words than who may not. */
const SENDINGS: Readonly<Record<string, readonly Who[]>> = {
  "api/answers": ["owner"],
  "api/attachments": ["owner", ...OFFICERS],
  "api/card-answer": NOBODY,
  "api/joined-pages": PEOPLE,
  "api/link-copies": ["owner", ...OFFICERS],
  "api/reference-letter": NOBODY,
  "api/reference-letter/office": ["owner", ...OFFICERS],
  "api/results-file": PEOPLE,
  "api/sendings/[[...id]]": PEOPLE,
  "api/templates": READERS,
  "api/uploads": ["owner", ...OFFICERS],
  "api/uploads/office": ["owner", ...OFFICERS],
  "stand-in/tray/answer": ALL,
};

/** Who is shown a page of the office, by its folder below the office's. */
const PAGES: Readonly<Record<string, readonly Who[]>> = {
  "": OFFICE,
  access: ADMINISTRATOR,
  awaited: OFFICE,
  confided: ["officer elsewhere", "adviser"],
  copies: OFFICE,
  drafts: OFFICE,
  erasures: ADMINISTRATOR,
  assigning: OFFICE,
  clocks: OFFICE,
  figures: OFFICE,
  "files/[number]": OFFICERS,
  institutions: READERS,
  "institutions/[id]": READERS,
  "institutions/new": KEEPERS,
  mail: ADMINISTRATOR,
  "mail-in": OFFICE,
  money: ["finance"],
  "no-permission": ALL,
  papers: OFFICE,
  people: ADMINISTRATOR,
  post: OFFICE,
  programmes: READERS,
  references: OFFICE,
  "programmes/[code]": READERS,
  "programmes/[code]/sites": OFFICERS,
  "programmes/new": LEADERS,
  "programmes/next": LEADERS,
  "programmes/procedures": READERS,
  results: OFFICE,
  rulebooks: READERS,
  "rulebooks/[id]": READERS,
  "rulebooks/[id]/changes": READERS,
  "rulebooks/[id]/form": READERS,
  "rulebooks/parts": READERS,
  "rulebooks/parts/[key]": READERS,
  rulings: READERS,
  standards: READERS,
  "standards/changes": READERS,
  texts: OFFICE,
  "texts/reasons": OFFICE,
  "texts/mails": OFFICE,
  "texts/mails/[template]": OFFICE,
  checks: OFFICE,
  "checks/[requirement]": OFFICE,
};

/** Folders of routes or pages, below another one. */
function foldersWith(file: string, below: string): readonly string[] {
  return readdirSync(path.join(APP, below), { recursive: true, withFileTypes: true })
    .filter((entry) => entry.name === file)
    .map((entry) => path.relative(path.join(APP, below), entry.parentPath));
}

/** Every address by everybody: what is not said here is not there. */
describe("addresses", () => {
  let demo: Demo;
  const cookies = new Map<Who, string>([["visitor", ""]]);
  const places = new Map<string, string>();

  beforeAll(async () => {
    demo = await openDemo("addresses");
    const pool = new pg.Pool({ connectionString: demo.databaseUrl, max: 1 });
    const one = async (sql: string, ...values: string[]): Promise<string> => {
      const { rows } = await pool.query<{ value: string }>(sql, values);
      if (!rows[0]) throw new Error(`the demo has nothing for ${sql}`);
      return rows[0].value;
    };
    const ofOwner = "from application a join person p on p.id = a.person_id";
    const applicationId = await one(`select a.id as value ${ofOwner} where p.email = $1`, WHO.owner);
    const code = await one(
      "select p.code as value from choice c join intake i on i.id = c.intake_id join programme p on p.id = i.programme_id where c.application_id = $1",
      applicationId,
    );
    const number = await one("select number as value from application where id = $1", applicationId);
    places.set("applicationId", applicationId).set("[number]", number).set("[code]", code);
    places.set(
      "[upload]",
      await one("select id as value from upload where application_id = $1 limit 1", applicationId),
    );
    const rulebookOf = `select r.id as value from rulebook r join intake i on i.id = r.intake_id join programme p on p.id = i.programme_id
      where p.code = $1 order by r.version limit 1`;
    places.set("[id]", await one(rulebookOf, code)).set("[key]", "english");
    places.set("two campuses", "BHT");
    places.set("requirement", "passport");
    places.set("institution", await one("select id as value from institution order by id limit 1"));
    await pool.query("update role_grant set scope = 'FYC' where person_id = (select id from person where email = $1)", [
      WHO["officer elsewhere"],
    ]);
    for (const role of ["finance", "assessor", "adviser"] as const)
      await pool.query(
        "insert into role_grant (person_id, role, scope, granted_at) select id, $2, '*', now() from person where email = $1",
        [WHO[role], role],
      );
    const order = await one(
      `with placed as (insert into copy_order (asked_by_id, asked_at, reader, documents, locale)
         select id, now(), 'office', false, 'en' from person where email = $1 returning id),
       kept as (insert into content (sha256, size, media_type) values ('of a copy', 0, 'application/pdf') returning sha256),
       made as (insert into copy_of (order_id, application_id, position, made_at, sha256) select placed.id, $2, 0, now(), kept.sha256 from placed, kept)
       select id as value from placed`,
      WHO.officer,
      applicationId,
    );
    places.set("[order]", order).set("[sha256]", "0".repeat(64));
    places.set(
      "[mail]",
      await one(
        `with came as (insert into incoming_mail (message_id, kind, from_address, from_name, subject, text, written, left_out, received_at, outcome)
           values ('<w@b>', 'written', 'a@b.example', '', '', '', '', '[]', now(), 'waiting') returning id),
         hangs as (insert into incoming_file (mail_id, no, name, sha256, pages, marks) select id, 0, 'a.pdf', 'of a copy', 1, '[]' from came)
         select id as value from came`,
      ),
    );
    places.set("[no]", "0").set("[template]", "submitted");
    await pool.end();
    for (const who of PEOPLE) {
      const person = await newPerson(demo);
      await signIn(person, WHO[who]);
      const kept = await person.context.cookies();
      cookies.set(who, kept.map(({ name, value }) => `${name}=${value}`).join("; "));
      await person.context.close();
    }
  });
  afterAll(() => demo.close());

  const addressOf = (folder: string): string =>
    `/${folder}`
      .replace("/[[...id]]", "")
      .replace("institutions/[id]", "institutions/[institution]")
      .replace("[code]/sites", "[two campuses]/sites")
      .replace(/\[[\w ]+\]/gu, (part) => {
        const value = places.get(part) ?? places.get(part.slice(1, -1));
        if (value === undefined) throw new Error(`nothing stands for ${part}`);
        return value;
      });
  const ask = (who: Who, address: string, sent: RequestInit = {}) =>
    fetch(`${demo.url}${address}`, {
      redirect: "manual",
      ...sent,
      headers: { cookie: cookies.get(who) ?? "", ...sent.headers },
    });
  const thoseOf = async (test: (who: Who) => Promise<boolean>): Promise<readonly Who[]> => {
    const may = await Promise.all(ALL.map(async (who) => ((await test(who)) ? [who] : [])));
    return may.flat();
  };
  const inOrder = (some: readonly Who[]) => ALL.filter((who) => some.includes(who));

  it("are all known here", () => {
    const routes = foldersWith("route.ts", "").toSorted();
    expect(routes).toEqual([...Object.keys(QUESTIONS), ...Object.keys(SENDINGS)].sort());
    expect(foldersWith("page.tsx", "office").toSorted()).toEqual(Object.keys(PAGES).sort());
  });

  it.each(Object.entries(QUESTIONS))("%s answers those whose it is", async (folder, may) => {
    const statuses = new Set<number>();
    const answered = await thoseOf(async (who) => {
      const { status, body } = await ask(who, addressOf(folder));
      await body?.cancel();
      statuses.add(status);
      return status === 200;
    });
    expect(answered).toEqual(inOrder(may));
    expect([...statuses].filter((status) => ![200, 401, 403, 404].includes(status))).toEqual([]);
  });

  it.each(Object.entries(SENDINGS))("%s takes from those who may send it, from our own pages", async (folder, may) => {
    const place = new URLSearchParams({ applicationId: places.get("applicationId") ?? "", requirement: "passport" });
    const address = `${addressOf(folder)}?${place}`;
    const body = JSON.stringify({ applicationId: places.get("applicationId"), changes: [] });
    const keptOut = [401, 403, 404];
    const taken = await thoseOf(async (who) => {
      const { status } = await ask(who, address, { method: "POST", body, headers: { origin: demo.url } });
      expect([who, status < 500]).toEqual([who, true]);
      return !keptOut.includes(status);
    });
    expect(taken).toEqual(inOrder(may));
    const elsewhere = await thoseOf(async (who) => {
      const headers = { origin: "https://elsewhere.example" };
      return !keptOut.includes((await ask(who, address, { method: "POST", body, headers })).status);
    });
    expect(elsewhere).toEqual([]);
  });

  it.each(Object.entries(PAGES))("office/%s is shown to those who work there", async (folder, may) => {
    const others = new Set<string>();
    const shown = await thoseOf(async (who) => {
      const response = await ask(who, addressOf(path.join("office", folder)));
      const to = response.headers.get("location");
      if (response.status === 200) return true;
      if (who === "visitor") expect(to).toMatch(/^\/sign-in\?to=%2Foffice/u);
      others.add(to === null ? String(response.status) : new URL(to, demo.url).pathname);
      return false;
    });
    expect(shown).toEqual(inOrder(may));
    // The entrance leads those who work elsewhere there.
    const led = [
      "/sign-in",
      "/office/no-permission",
      "404",
      ...(folder === "" ? ["/my", "/office/people", "/office/money", "/office/confided"] : []),
    ];
    expect([...others].filter((other) => !led.includes(other))).toEqual([]);
  });
});
