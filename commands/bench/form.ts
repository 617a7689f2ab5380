import { chromium } from "playwright-core";
import { type Runtime, runAct } from "../../src/acts/act/act";
import { startApplication } from "../../src/acts/application/start-application";
import { saveAnswers } from "../../src/acts/form/save-answers";
import type { Actor } from "../../src/core/rights/actor";
import { EMPTY_RULEBOOK, type RulebookBody } from "../../src/core/rulebook/rulebook";
import { act } from "../../src/demo/applicant";
import { planProgramme } from "../../src/demo/catalogue";
import { type PlannedProgramme, PROGRAMMES } from "../../src/demo/programmes";
import { findChromium } from "../install.mjs";
import { median, report, time } from "./measure";

export const THOUSAND = 40;
const FIELDS = 25;
const KEYS = 60;

const words = (text: string) => ({ en: text, fr: text });

/** A form of so many sections, of whose fields every tenth stands under a condition. */
function formOf(count: number): RulebookBody {
  const sections = Array.from({ length: count }, (_, s) => ({
    key: `part${s}`,
    core: null,
    scope: "file" as const,
    title: words(`Part ${s}`),
    fields: Array.from({ length: FIELDS }, (_, f) => ({
      key: `field${f}`,
      kind: "text" as const,
      title: words(`Field ${f}`),
      required: true,
      most: 200,
      seenBy: "assessment" as const,
      ...(f % 10 === 9 ? { when: { op: "fact" as const, fact: `answers.part${s}.field0`, is: "known" as const } } : {}),
    })),
  }));
  const asked = {
    key: "all",
    kind: "sections" as const,
    title: words("All parts"),
    scope: "file" as const,
    neededBy: "submission" as const,
    sections: sections.map((s) => s.key),
  };
  return { ...EMPTY_RULEBOOK, sections, requirements: [asked] };
}

export interface MadeForm {
  readonly applicationId: string;
  readonly number: string;
}

/** Plans a programme with such a form and fills it in. */
export async function makeForm(
  { runtime, anchor, start }: { readonly runtime: Runtime; readonly anchor: string; readonly start: string },
  applicant: Actor,
  {
    code,
    procedure,
    sections,
  }: Pick<PlannedProgramme, "procedure"> & { readonly code: string; readonly sections: number },
): Promise<MadeForm> {
  const [like] = PROGRAMMES;
  if (!like) throw new Error("the demo has no programme");
  const { forms: _forms, ...plain } = like;
  const rounds = await planProgramme(
    runtime,
    { ...plain, procedure, programme: { ...plain.programme, code }, rulebook: formOf(sections) },
    anchor,
    start,
  );
  const { applicationId, number } = await act(runtime, startApplication, applicant, {
    roundId: Object.values(rounds)[0] ?? "",
  });
  const changes = Array.from({ length: sections * FIELDS }, (_, i) => ({
    scope: "file",
    section: `part${Math.floor(i / FIELDS)}`,
    entry: "",
    field: `field${i % FIELDS}`,
    value: `answer ${i}`,
    seen: 0,
  }));
  await act(runtime, saveAnswers, applicant, { applicationId, changes });
  return { applicationId, number };
}

/** Saving one field of it, beside the same in the demo’s own form. */
export async function benchBigSave(
  runtime: Runtime,
  applicant: Actor,
  big: MadeForm,
  usual: { readonly applicationId: string },
): Promise<void> {
  const saving = (applicationId: string, section: string, field: string) => {
    let seen = 1;
    let no = 0;
    return time(30, async () => {
      no += 1;
      const changes = [{ scope: "file", section, entry: "", field, value: `value ${no}`, seen }];
      const outcome = await runAct(runtime, saveAnswers, applicant, { applicationId, changes });
      if (outcome.ok && outcome.value.results[0]?.state === "saved") seen = outcome.value.results[0].version;
    });
  };
  const floor = await saving(usual.applicationId, "contact", "town");
  const saved = await saving(big.applicationId, "part7", "field3");
  report(
    "saving one of a thousand fields",
    `${saved.toFixed(1)} ms (usual form ${floor.toFixed(1)})`,
    saved / floor,
    "at most 4",
    saved <= floor * 4,
  );
}

async function bytesOf(url: string, cookie: string): Promise<number> {
  const response = await fetch(url, { headers: { cookie }, redirect: "manual" });
  if (response.status !== 200) throw new Error(`${url} answered ${response.status}`);
  return (await response.text()).length;
}

/** How long a key takes until the page has drawn again. */
async function keyTimes(url: string, cookie: string | null, label: string): Promise<number | null> {
  const executablePath = findChromium();
  if (!executablePath) return null;
  const browser = await chromium.launch({ executablePath, args: ["--no-sandbox", "--disable-dev-shm-usage"] });
  try {
    const page = await browser.newPage();
    if (cookie) await page.setExtraHTTPHeaders({ cookie });
    await page.goto(url, { waitUntil: "networkidle" });
    const field = page.getByLabel(label, { exact: true });
    await field.click();
    const times: number[] = [];
    for (let i = 0; i < KEYS; i += 1) {
      const began = performance.now();
      await page.keyboard.press("a");
      await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done, 0))));
      times.push(performance.now() - began);
    }
    return median(times);
  } finally {
    await browser.close();
  }
}

const PLAIN_PAGE = `data:text/html,${encodeURIComponent("<label>Field 3 <input></label>")}`;

/** Opening a section of it sends that section alone; typing in it is as quick as in a bare field. */
export async function benchBigPage(url: string, cookie: string, big: MadeForm, small: MadeForm): Promise<void> {
  const sent = async ({ number }: MadeForm) =>
    (await bytesOf(`${url}/my/${number}/part0`, cookie)) - (await bytesOf(`${url}/my/${number}/choices`, cookie));
  const [alone, among] = [await sent(small), await sent(big)];
  report(
    "a section of a thousand-field form sends",
    `${(among / 1024).toFixed(0)} kB (alone in its form ${(alone / 1024).toFixed(0)})`,
    among / alone,
    "at most 1.1",
    among <= alone * 1.1,
  );
  const section = `${url}/my/${big.number}/part7`;
  const floor = await keyTimes(PLAIN_PAGE, null, "Field 3");
  const typed = await keyTimes(section, cookie, "Field 3");
  if (floor !== null && typed !== null)
    report(
      "a key in a thousand-field form",
      `${typed.toFixed(1)} ms (bare field ${floor.toFixed(1)})`,
      typed / floor,
      "at most 2",
      typed <= floor * 2,
    );
}
