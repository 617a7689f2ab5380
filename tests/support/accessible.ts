import AxeBuilder from "@axe-core/playwright";
import type { Page } from "playwright-core";
import { expect } from "vitest";

/** Nothing that axe finds: only what is wrong is gathered, and in the page itself, for no page of ours has frames. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ resultTypes: ["violations"] })
    .withTags(["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"])
    .analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(" ")).join(", ")}`)).toEqual([]);
}
