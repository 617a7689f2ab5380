import { type Browser, type BrowserContext, chromium, type Page } from "playwright-core";
import { expect, vi } from "vitest";
import { findChromium } from "../../commands/install.mjs";

/** Debian's Chromium, and what people do in it. */
export async function openBrowser(): Promise<Browser> {
  const executablePath = findChromium();
  if (!executablePath) throw new Error("Chromium is not installed: ./unvex test installs it");
  return chromium.launch({
    executablePath,
    args: [
      "--no-sandbox",
      "--disable-dev-shm-usage",
      "--disable-gpu",
      "--disable-background-networking",
      "--disable-component-update",
      "--disable-sync",
    ],
  });
}

export interface Person {
  readonly page: Page;
  readonly context: BrowserContext;
  /** What the console said that it should not have. */
  readonly complaints: string[];
}

/**
 * Notes, before the page has anything to show, how far things on it move that nobody moved. What comes with a page that somebody
 * asked for is no jump, nor is what answers a press (the browser marks that by itself).
 */
const WATCH_JUMPS = `window.jumps = [];
let turned = -1000;
// A slow machine paints the new page long after its address: what comes with the next two frames comes with it.
const turn = (frames) => {
  turned = performance.now();
  if (frames > 0) requestAnimationFrame(() => turn(frames - 1));
};
const push = history.pushState;
history.pushState = function (...to) { turn(2); return push.apply(this, to); };
const replace = history.replaceState;
history.replaceState = function (...to) {
  if (to[2] && new URL(to[2], location.href).pathname !== location.pathname) turn(2);
  return replace.apply(this, to);
};
new PerformanceObserver((list) => {
  const box = (r) => [r.x, r.y, r.width, r.height].map(Math.round).join(" ");
  for (const entry of list.getEntries()) if (!entry.hadRecentInput && Math.abs(entry.startTime - turned) > 500)
    window.jumps.push(location.pathname + ": " + entry.sources.map((s) =>
      (s.node?.className || s.node?.nodeName) + " " + box(s.previousRect) + " to " + box(s.currentRect)).join(", "));
}).observe({ type: "layout-shift", buffered: true });`;

/** What has jumped on the page since it was loaded, from where to where. */
export const jumpsOn = (page: Page): Promise<readonly string[]> => page.evaluate<readonly string[]>("window.jumps");

/**
 * Lets go of what an answer has moved that somebody pressed for: it may come later after the press than the browser marks by itself, where
 * a machine is slow.
 */
export const settleJumps = (page: Page): Promise<void> =>
  page.evaluate<void>(
    "new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done, 50)))).then(() => { window.jumps.length = 0; })",
  );

/** Whether the page's code has reached all its buttons: what is pressed before that is lost, as it is for somebody in a great hurry. */
const ANSWERS = `[...document.querySelectorAll("button")].every((button) =>
  Object.keys(button).some((key) => key.startsWith("__reactProps")))`;

/** Lets a page that is opened or loaded again come so far that it answers, unless the test itself says what it waits for. */
function answerAfterLoading(page: Page): void {
  const [open, reload] = [page.goto.bind(page), page.reload.bind(page)];
  // A page that leads to another one at once answers there.
  const answer = () =>
    vi.waitUntil(() => page.evaluate<boolean>(ANSWERS).catch(() => false), { timeout: 60_000, interval: 20 });
  page.goto = async (address, options) => {
    const response = await open(address, options);
    if (!options?.waitUntil) await answer();
    return response;
  };
  page.reload = async (options) => {
    const response = await reload(options);
    if (!options?.waitUntil) await answer();
    return response;
  };
}

/** A window of somebody's own on the application at an address, whose console is listened to. */
export async function newPerson(
  { browser, url }: { readonly browser: Browser; readonly url: string },
  size: { width: number; height: number } = { width: 1280, height: 800 },
  locale = "en-GB",
): Promise<Person> {
  const context = await browser.newContext({
    viewport: size,
    locale,
    timezoneId: "America/Paramaribo",
    baseURL: url,
  });
  // What must come is waited for, however slow the machine is.
  context.setDefaultTimeout(60_000);
  // A page that many things are asked of at once may take long; that it comes is what is tested.
  context.setDefaultNavigationTimeout(90_000);
  await context.addInitScript(WATCH_JUMPS);
  const page = await context.newPage();
  answerAfterLoading(page);
  const complaints: string[] = [];
  page.on("console", (m) => {
    if (m.type() === "error" || m.type() === "warning") complaints.push(`${m.type()}: ${m.text()} ${m.location().url}`);
  });
  page.on("pageerror", (e) => complaints.push(`page error on ${page.url()}: ${e.message}`));
  return { page, context, complaints };
}

export async function signIn({ page }: Person, email: string, password = "tide-and-harbour"): Promise<void> {
  await page.goto("/sign-in");
  await page.getByLabel("E-mail").fill(email);
  await page.getByLabel("Password", { exact: true }).fill(password);
  await page.getByRole("button", { name: "Sign in", exact: true }).click();
  await page.waitForURL((url) => !url.pathname.startsWith("/sign-in"));
}

/** Opens the newest mail to an address in the tray, waiting until it has come, and follows its link where it has one. */
export async function readMail(person: Person, to: string, subject: string | RegExp): Promise<string> {
  const mail = person.page
    .getByRole("article")
    .filter({ has: person.page.getByRole("heading", { name: subject }) })
    .first();
  for (let look = 0; look < 40; look += 1) {
    await person.page.goto(`/stand-in/tray?to=${encodeURIComponent(to)}`);
    if ((await mail.count()) > 0) return (await mail.innerText()).trim();
    await person.page.waitForTimeout(400);
  }
  throw new Error(`no mail to ${to} called ${String(subject)}`);
}

export async function followMail(person: Person, to: string, subject: string | RegExp): Promise<void> {
  const text = await readMail(person, to, subject);
  const link = /https?:\/\/\S+/u.exec(text)?.[0];
  if (!link) throw new Error(`the mail has no link: ${text}`);
  await person.page.goto(link);
}

/** Chooses in one of the library's selects, found by its label, and sees that it was taken: a list may still be closing. */
export async function choose(page: Page, label: string | RegExp, option: string): Promise<void> {
  const input = page.getByLabel(label, typeof label === "string" ? { exact: true } : {}).first();
  const select = page.locator(".ant-select").filter({ has: input }).first();
  for (let tries = 0; tries < 3; tries += 1) {
    await input.click();
    await input.fill(option);
    await page
      .locator(".ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option", { hasText: option })
      .first()
      .click();
    const taken = select.getByText(option).first();
    if (
      await taken.waitFor({ timeout: 3000 }).then(
        () => true,
        () => false,
      )
    )
      return;
  }
  throw new Error(`${option} was not taken for ${String(label)}`);
}

/** Takes something from a list that is empty again once it was taken. */
export async function take(page: Page, label: string, option: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).click();
  await page.locator(".ant-select-dropdown:visible .ant-select-item-option", { hasText: option }).first().click();
}

/** Types a date into one of the library's pickers. */
export async function pickDate(page: Page, label: string | RegExp, date: string): Promise<void> {
  const input = page.getByLabel(label, typeof label === "string" ? { exact: true } : {}).first();
  await input.click();
  await input.fill(date);
  await input.press("Enter");
}

/** Waits until the page says that everything is saved, and nothing waits in the browser any more. */
export async function untilSaved(page: Page): Promise<void> {
  const waiting = "Object.keys(localStorage).filter((key) => key.startsWith('unvex.waiting.')).length";
  await expect
    .poll(async () => [await page.evaluate(waiting), await page.locator(".save-line").getAttribute("data-kind")], {
      timeout: 15_000,
    })
    .toEqual([0, "saved"]);
}

/** Goes from the finder over a programme's page to the one on which it is chosen. */
export async function goToApply(page: Page, title: string): Promise<void> {
  await page.goto("/");
  await page.getByRole("link", { name: title }).click();
  await page.getByRole("link", { name: "Apply", exact: true }).first().click();
  await page.waitForURL(/\/(apply|sign-in|sign-up)/);
}

/** Presses a button that asks before it does something, and says yes. On a page that has just come somebody may have to press twice. */
export async function pressAndAgree(page: Page, name: string): Promise<void> {
  const dialog = page.getByRole("dialog").last();
  for (let tries = 0; tries < 5 && !(await dialog.isVisible()); tries += 1) {
    await page.getByRole("button", { name, exact: true }).first().click();
    await dialog.waitFor({ timeout: 3000 }).catch(() => undefined);
  }
  await dialog.getByRole("button", { name, exact: true }).click();
  await dialog.waitFor({ state: "hidden" });
}

/** Chooses a requirement in the file and waits until it stands beside its claims, so that keys act on it. */
export async function openRequirement(page: Page, title: string): Promise<void> {
  await page.locator(".requirements button", { hasText: title }).first().click();
  await page.locator(".claims h2", { hasText: title }).first().waitFor();
}
