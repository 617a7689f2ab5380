import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { expectAccessible } from "../support/accessible";
import { choose, goToApply, jumpsOn, newPerson, type Person, settleJumps, signIn } from "../support/browser";
import { type Demo, openDemo } from "../support/demo";

const PHONE = { width: 390, height: 844 };

/** The main screens as each role sees them: nothing that axe finds, no word of the console, nothing wider than the window, nothing that jumps. */
describe("the main screens", () => {
  let demo: Demo;
  beforeAll(async () => {
    demo = await openDemo("screens");
  });
  afterAll(() => demo.close());

  async function check({ page, complaints }: Person): Promise<void> {
    await expectAccessible(page);
    expect(complaints).toEqual([]);
    const overflow = await page.evaluate("document.documentElement.scrollWidth - document.documentElement.clientWidth");
    expect(overflow).toBeLessThanOrEqual(0);
    expect(await jumpsOn(page)).toEqual([]);
  }

  /** The same, of a page that has answered a press since it was loaded. */
  async function checkAnswer(person: Person): Promise<void> {
    await settleJumps(person.page);
    await check(person);
  }

  it.each([
    "/",
    "/programmes/MTE",
    "/programmes/BMR/check",
    "/programmes/compare?code=MES&code=MTE",
    "/sign-in",
    "/sign-in/code",
    "/sign-up",
    "/lost-password",
    "/stand-in/tray",
    "/link/not-a-link-at-all",
    "/nowhere",
  ])("%s, for a visitor", async (path) => {
    const person = await newPerson(demo);
    await person.page.goto(path);
    if (path === "/nowhere") person.complaints.length = 0; // the browser reports the 404 by itself
    await check(person);
    await person.context.close();
  });

  it("are watched: what pushes the page down is seen", async () => {
    const { page, context } = await newPerson(demo);
    await page.goto("/sign-in");
    await page.waitForTimeout(800);
    expect(await jumpsOn(page)).toEqual([]);
    await page.evaluate("document.querySelector('main').insertAdjacentHTML('afterbegin', '<p>a late notice</p>')");
    await expect.poll(async () => (await jumpsOn(page)).length).toBeGreaterThan(0);
    await context.close();
  });

  it("the officer's turns, file, form and history", async () => {
    const person = await newPerson(demo);
    const { page } = person;
    await signIn(person, "r.okonjo@merrow.example");
    await page.getByRole("heading", { name: "What is here" }).waitFor();
    await check(person);
    // However many requirements a file has, its row of bars keeps to its column.
    const beyond = await page.evaluate<number>(
      "[...document.querySelectorAll('.turn-list .comb')].filter((c) => c.firstChild.getBoundingClientRect().right > c.parentElement.getBoundingClientRect().right || c.firstChild.getBoundingClientRect().width > 142).length",
    );
    expect(beyond).toBe(0);
    await page.getByRole("checkbox").first().check();
    await page.keyboard.press("j");
    await page.locator('.turn-list ol li:nth-child(2)[data-cursor="true"]').waitFor();
    await page.keyboard.press("?");
    await page.getByText("take the marked files, or this one").waitFor();
    await checkAnswer(person);
    await page.getByRole("link", { name: "Ilse Maarteen-Quist" }).click();
    await page.locator(".viewer-page canvas").waitFor();
    await check(person);
    await page.keyboard.press("x");
    await page.getByLabel("Note to the applicant").waitFor();
    await checkAnswer(person);
    await page.keyboard.press("Escape");
    for (const tab of ["Form", "Choices", "History", "Messages"]) {
      await page.getByRole("link", { name: tab, exact: true }).click();
      await page.waitForURL(new RegExp(`show=${tab.toLowerCase()}`));
      await check(person);
    }
    await page.getByRole("link", { name: "Calls and post" }).click();
    await page.getByRole("button", { name: "A letter came back" }).first().click();
    await checkAnswer(person);
    await page.goto("/office");
    await page.getByRole("checkbox").first().check();
    await page.getByRole("button", { name: "Copies", exact: true }).click();
    await page.getByRole("button", { name: "Make them" }).waitFor();
    await checkAnswer(person);
    await person.context.close();
  });

  it("the head of the office: groups by the work, keys to each page, and a field that reaches all of it", async () => {
    const person = await newPerson(demo);
    const { page } = person;
    const box = page.getByRole("combobox", { name: "Find anyone, any number, any page" });
    const offered = page.locator(".ant-select-dropdown:not(.ant-select-dropdown-hidden)");
    await signIn(person, "r.okonjo@merrow.example");
    await page.locator(".turn-list li").first().waitFor();
    await page.keyboard.press("g");
    await page.keyboard.press("f");
    await page.getByRole("heading", { name: /^Figures/ }).waitFor();
    const plan = page.getByRole("button", { name: /^Plan/ });
    await plan.click();
    await page.getByRole("link", { name: /^Institutions/ }).waitFor();
    await checkAnswer(person);
    await page.keyboard.press("Escape");
    await page.getByRole("link", { name: /^Institutions/ }).waitFor({ state: "detached" });
    expect(await plan.evaluate((b) => b === document.activeElement)).toBe(true);
    await page.getByRole("button", { name: /^Turns/ }).click();
    await page.getByRole("link", { name: /^Turns \d+/ }).waitFor();
    await page.keyboard.press("Escape");
    await page.keyboard.press("Control+k");
    await page.keyboard.type("tanemura");
    await offered.getByText("Yuki Tanemura").waitFor();
    await checkAnswer(person);
    await page.keyboard.press("Escape");
    await offered.waitFor({ state: "detached" });
    // The letter of a page is not heard by what is open: `t` alone would take the file.
    await page.keyboard.press("g");
    await page.keyboard.press("r");
    await page.getByRole("heading", { name: /^Test results/ }).waitFor();
    await page.getByRole("button", { name: /^Arrivals/ }).waitFor();
    await page.keyboard.press("g");
    await page.keyboard.press("t");
    await page.locator(".turn-list li").first().waitFor();
    await page.keyboard.press("Control+k");
    await page.keyboard.type("yuki");
    await offered.getByText("Yuki Tanemura").waitFor();
    await page.keyboard.press("ArrowDown");
    await page.keyboard.press("Enter");
    await page.waitForURL(/\/office\/files\/27-/);
    await page.getByRole("heading", { name: "Yuki Tanemura" }).waitFor();
    await page.locator(".viewer-page canvas").waitFor();
    await page.keyboard.press("/");
    await box.fill("send back");
    await offered.getByText("Send back", { exact: true }).click();
    await page.getByLabel("Note to the applicant").waitFor();
    await page.keyboard.press("Escape");
    await page.keyboard.press("Control+k");
    await page.keyboard.type("tidal");
    await offered.getByText("Tidal Energy Systems").waitFor();
    await box.fill("rulings");
    await offered.getByText("page · g u").click();
    await page.waitForURL(/\/office\/rulings/);
    await page.keyboard.press("/");
    await page.keyboard.type("Ilse Maarteen");
    await page.keyboard.press("Enter");
    await page.waitForURL(/\/office\?find=/);
    await page.getByRole("link", { name: "Ilse Maarteen-Quist" }).waitFor();
    expect(person.complaints).toEqual([]);
    await person.context.close();
  });

  it("an adviser reads what was told in confidence, and grants what makes up for it", async () => {
    const person = await newPerson(demo);
    const { page } = person;
    await signIn(person, "p.hennessy@merrow.example");
    await page.getByRole("link", { name: "In confidence" }).click();
    await page.getByText("Nobody waits here: whatever was told has an answer, or its file is closed.").waitFor();
    await check(person);
    await page.getByRole("link", { name: /^Granted/ }).click();
    await page.getByText("I look after my brother, who cannot be left alone in the evening.").waitFor();
    await check(person);
    await page.getByRole("button", { name: "Grant an adjustment" }).click();
    await page.getByLabel("What is granted").fill("The talk in two parts");
    await page.getByLabel("Why (advisers alone read it)").fill("He cannot be left alone for long.");
    await checkAnswer(person);
    await page.getByRole("button", { name: "Grant it" }).click();
    await page.getByText("The talk in two parts").waitFor();
    await checkAnswer(person);
    await person.context.close();
  });

  it("an applicant reads what the office established otherwise than they wrote it, on a phone", async () => {
    const person = await newPerson(demo, PHONE);
    const { page } = person;
    await signIn(person, "chidera.nwakaego@people.example");
    await page.getByRole("link", { name: /Tidal Energy Systems/ }).click();
    await page.getByRole("heading", { name: "What our office has established" }).waitFor();
    await page.getByRole("row", { name: /University of Halden Sound None of these/ }).waitFor();
    await check(person);
    await page.goto(`${new URL(page.url()).pathname}/graduate`);
    await page.getByRole("heading", { name: "What our office has established" }).waitFor();
    await check(person);
    await person.context.close();
  });

  it("finance comes to its page, reads amounts and what was said for it alone, and reaches nothing else", async () => {
    const person = await newPerson(demo);
    const { page } = person;
    await signIn(person, "i.tollemache@merrow.example");
    await page.waitForURL(/\/office\/money/);
    await page.getByRole("heading", { name: /^Money/ }).waitFor();
    await check(person);
    await page.getByRole("link", { name: /^With answers for finance/ }).click();
    await page.getByText("Funding: Own means for one year, in euros").waitFor();
    await check(person);
    await page.getByLabel("Number, name or reference").fill("nobody at all");
    await page.getByRole("button", { name: "Find" }).click();
    await page.getByText("Nothing is found under these words.").waitFor();
    await page.goto("/office/awaited");
    await page.getByText("Your roles do not open this page").waitFor();
    expect(person.complaints).toEqual([]);
    await person.context.close();
  });

  it("the administrator's pages: a role is given for a time and taken away, mail that waits is tried again", async () => {
    const person = await newPerson(demo);
    const { page } = person;
    await signIn(person, "m.castagnier@merrow.example");
    await page.goto("/office/people");
    const give = page.locator("form").filter({ hasText: "Give the role" });
    await choose(page, "Who", "Padraig Hennessy");
    await give.getByRole("combobox", { name: "Over" }).click();
    await page.getByTitle("MTE Tidal Energy Systems").last().click();
    await give.getByLabel(/^Until/).fill("2099-12-31");
    await give.getByRole("button", { name: "Give the role" }).click();
    await page.getByText("Given.").waitFor();
    const line = page.getByRole("row", { name: /p\.hennessy/ });
    await line.getByText(/officer of MTE, until the end of the day before 1 Jan 2100/).waitFor();
    await checkAnswer(person);
    await line.getByRole("button", { name: "Take the role officer of MTE from Padraig Hennessy" }).click();
    await line.getByText(/of MTE/).waitFor({ state: "detached" });
    await page.getByRole("button", { name: "Take the role administrator from Mireille Castagnier" }).click();
    await page.getByText("One administrator has to stay, without an end.").waitFor();
    await page.goto("/office/mail");
    await page
      .getByRole("button", { name: /^Try again: / })
      .first()
      .click();
    await page.getByText("It is tried now.").waitFor();
    await checkAnswer(person);
    const other = await newPerson(demo);
    await signIn(other, "m.castagnier@merrow.example");
    await page.goto("/account");
    await check(person);
    await page.getByRole("button", { name: "End it" }).click();
    await page.getByRole("button", { name: "End it" }).waitFor({ state: "detached" });
    await other.page.goto("/office/people");
    await other.page.waitForURL(/sign-in/);
    await other.context.close();
    await person.context.close();
  });

  it("the lead officer's programmes and rulebooks", async () => {
    const person = await newPerson(demo);
    const { page } = person;
    await signIn(person, "t.breen@merrow.example");
    for (const path of [
      "/office/programmes",
      "/office/programmes/BHT",
      "/office/programmes/new",
      "/office/programmes/next",
      "/office/programmes/procedures",
      "/office/rulebooks",
      "/office/rulebooks/parts",
      "/office/rulebooks/parts/english",
      "/office/standards",
      "/office/standards/changes",
      "/office/institutions",
      "/office/rulings",
      "/office/awaited?kind=degree",
      "/office/drafts",
      "/office/post",
      "/office/copies",
      "/office/figures",
      "/office/results",
    ]) {
      await page.goto(path);
      await page.locator("h1").waitFor();
      await check(person);
    }
    await page.goto("/office?find=Yuki");
    await page.getByRole("link", { name: "Yuki Tanemura" }).click();
    const both = await page.getByRole("link", { name: "Read them side by side" }).getAttribute("href");
    await page.goto(both ?? "");
    await page.getByText("The other statement was sent first.").waitFor();
    await check(person);
    await page.goto("/office/rulebooks");
    await page
      .getByRole("row", { name: /Tidal Energy Systems/ })
      .getByRole("link", { name: /version 1/ })
      .click();
    await page.getByRole("button", { name: "60 ECTS in engineering" }).click();
    await page.getByText(/^The sum of ECTS over courses/).waitFor();
    await checkAnswer(person);
    await page.getByRole("link", { name: "See the form" }).click();
    const asked = page.getByRole("complementary", { name: "What is asked of this applicant" });
    await asked.getByText("Degree certificate").waitFor();
    expect(await asked.innerText()).not.toContain("Work and practice");
    await choose(page, "Applicant group", "overseas group");
    await choose(page, "Track", "Conversion track, one year");
    await asked.getByText("Work and practice").waitFor();
    await asked.getByText("60.00 EUR").waitFor();
    await checkAnswer(person);
    await page.goBack();
    await page.getByRole("link", { name: "What it changed" }).click();
    await page.getByText("There is no earlier version to compare with").waitFor();
    await check(person);
    await person.context.close();
  });

  it("the administrator's people", async () => {
    const person = await newPerson(demo);
    await signIn(person, "m.castagnier@merrow.example");
    await person.page.getByRole("heading", { name: "People and roles" }).waitFor();
    await check(person);
    await person.page.goto("/office/access");
    await person.page.getByRole("cell", { name: "signed in" }).first().waitFor();
    await check(person);
    await person.page.goto("/account/second-factor");
    await person.page.getByRole("heading", { name: "A second factor" }).waitFor();
    await check(person);
    await person.context.close();
  });

  const parts = [
    "choices",
    "person",
    "citizenship",
    "education",
    "courses",
    "english",
    "referees",
    "documents",
    "fee",
    "declaration",
    "review",
  ];
  it.each([
    ["a desk", { width: 1280, height: 800 }, parts],
    ["a phone", PHONE, ["choices", "education", "courses", "documents", "review"]],
  ])("the applicant's pages on %s", async (_, size, shown) => {
    const person = await newPerson(demo, size);
    const { page } = person;
    await signIn(person, "pedro.anselmovaz@people.example");
    await check(person);
    await page.goto("/");
    await page.getByRole("article").first().waitFor();
    await check(person);
    await goToApply(page, "MA Maritime Heritage");
    await page.getByRole("button", { name: "Add it to my application" }).waitFor();
    await check(person);
    await page.goto("/my");
    await page.getByRole("link", { name: /Estuary Science/ }).click();
    await page.getByRole("heading", { name: "What comes next" }).waitFor();
    await check(person);
    const base = page.url();
    for (const part of shown) {
      await page.goto(`${base}/${part}`);
      await page.locator(".page-title").waitFor();
      await check(person);
    }
    await person.context.close();
  });

  it("what was submitted, on a phone: nothing is wider than the window", async () => {
    const person = await newPerson(demo, PHONE);
    const { page } = person;
    await signIn(person, "awa.ndiayesarr@people.example");
    const link = await page.locator('a[href^="/my/"]').first().getAttribute("href");
    await page.goto(`${link}/subjects`);
    await page.locator(".entry-grid-row").first().waitFor();
    await check(person);
    await person.context.close();
  });

  it("a list that grows after submission says which paper shows what is added", async () => {
    const person = await newPerson(demo);
    const { page } = person;
    await signIn(person, "elodie.marchetti@people.example");
    await page.goto(`${page.url()}/courses`);
    await page.getByText("Ce que vous ajoutez ici compte dès que nous avons la pièce").waitFor();
    await check(person);
    await page.getByRole("link", { name: "Aux documents" }).click();
    await page.waitForURL(/\/documents$/u);
    await person.context.close();
  });

  it("the finder says by region where to look, and what a degree does not open before anything is chosen", async () => {
    const person = await newPerson(demo);
    const { page } = person;
    await signIn(person, "kasia.z@people.example");
    await page.goto("/");
    await page.getByLabel("Campus or region").selectOption({ label: "anywhere: The islands" });
    await page.getByText("2 programmes").or(page.getByText("3 programmes")).first().waitFor();
    expect(await page.getByRole("article").filter({ hasText: "Port Merrow" }).count()).toBeGreaterThan(0);
    await page.goto("/?q=PCS");
    await page.getByText("You cannot choose this programme with what you told us.").waitFor();
    await check(person);
    await page.goto("/programmes/PCS");
    await page.getByText("A completed master, or one expected before the start.").first().waitFor();
    await check(person);
    await person.context.close();
  });

  it("a programme with a partner that sponsors no visa says both, wherever it can be chosen", async () => {
    const person = await newPerson(demo);
    const { page } = person;
    await page.goto("/programmes/GBC?from=IN&lives=IN");
    await page.getByText("Run by Tarbrook Boat Yard, with Merrow Institute of Coast and Water").first().waitFor();
    await page.getByText("No visa can be sponsored for this programme.").first().waitFor();
    await person.context.close();
  });

  it("French, whole, with the language of the page said", async () => {
    const person = await newPerson(demo, PHONE, "fr-FR");
    const { page } = person;
    await page.goto("/");
    expect(await page.locator("html").getAttribute("lang")).toBe("fr");
    await page.getByRole("heading", { name: "Trouvez votre programme" }).waitFor();
    await check(person);
    await page.goto("/sign-in");
    await page.getByLabel("Courriel").fill("elodie.marchetti@people.example");
    await page.getByLabel("Mot de passe", { exact: true }).fill("tide-and-harbour");
    await page.getByRole("button", { name: "Se connecter" }).click();
    await page.waitForURL(/\/my\/27-\d{5}$/); // where something waits for her
    await page.getByText("Vous fournissez de nouveau : Relevé de notes").waitFor();
    await check(person);
    await person.context.close();
  });

  it("a document's address gives nothing to those whose it is not", async () => {
    const officer = await newPerson(demo);
    await signIn(officer, "r.okonjo@merrow.example");
    await officer.page.getByRole("link", { name: "Ilse Maarteen-Quist" }).click();
    const address = await officer.page.getByRole("link", { name: "Download" }).getAttribute("href");
    const good = await officer.context.request.get(address ?? "");
    expect([good.status(), good.headers()["content-type"], good.headers()["content-security-policy"]]).toEqual([
      200,
      "application/pdf",
      "sandbox; default-src 'none'; frame-ancestors 'none'",
    ]);
    expect(good.headers()["x-content-type-options"]).toBe("nosniff");
    for (const path of [
      address ?? "",
      "/api/institutions?typed=hal",
      "/api/turns",
      "/api/peek/none",
      "/api/rulebook-schema",
    ]) {
      const { "cache-control": cache, "x-content-type-options": sniff } = (
        await officer.context.request.get(path)
      ).headers();
      expect([path, cache?.includes("no-store"), sniff]).toEqual([path, true, "nosniff"]);
    }
    const other = await newPerson(demo);
    expect((await other.context.request.get(address ?? "")).status()).toBe(404);
    await signIn(other, "pedro.anselmovaz@people.example");
    expect((await other.context.request.get(address ?? "")).status()).toBe(404);
    const foreign = await other.context.request.post("/api/answers", {
      headers: { origin: "https://elsewhere.example" },
      data: {},
    });
    expect(foreign.status()).toBe(403);
    await other.page.goto("/office");
    await other.page.waitForURL(/\/(my|office\/no-permission)/);
    await officer.context.close();
    await other.context.close();
  });
});
