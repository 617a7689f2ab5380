import Link from "next/link";
import type { ReactNode } from "react";
import { say } from "../../../../text/say";
import { sectionPage } from "../../../../ui/applicant-step";
import { SectionNav } from "../../../../ui/section-nav.client";
import { locale } from "../../../request";
import { loadApplication } from "./load";

/** The frame of one application: its name, and all its parts with a mark on those that are complete. */
export default async function ApplicationLayout({
  children,
  params,
}: {
  children: ReactNode;
  params: Promise<{ number: string }>;
}) {
  const { number } = await params;
  const language = await locale();
  const { application } = await loadApplication(number);
  const parts = application.sections
    .filter((s) => s.applies && s.core !== "tests" && s.core !== "declaration")
    .map((s) => ({
      key: sectionPage(s.key, s.scope),
      title: s.programme ? `${s.title[language]} · ${s.programme}` : s.title[language],
      done: s.gaps.length === 0,
    }));
  const { requirements } = application.assessment;
  const settled = (kinds: readonly string[]) =>
    requirements.filter((r) => kinds.includes(r.kind)).every((r) => !["missing", "returned"].includes(r.standing));
  const declaration = application.sections.find((s) => s.core === "declaration");
  const items = [
    { key: "choices", title: say(language, "choices.title"), done: application.choices.some((c) => !c.withdrawn) },
    ...parts,
    { key: "documents", title: say(language, "doc.title"), done: settled(["document"]) },
    ...(requirements.some((r) => r.kind === "fee")
      ? [
          {
            key: "fee",
            title: requirements.find((r) => r.kind === "fee")?.title[language] ?? "",
            done: settled(["fee"]),
          },
        ]
      : []),
    ...(declaration
      ? [{ key: declaration.key, title: declaration.title[language], done: declaration.gaps.length === 0 }]
      : []),
  ];
  return (
    <div className="application">
      <header className="application-head">
        <p className="quiet">
          <Link href="/my">{say(language, "nav.mine")}</Link> · {say(language, "mine.number", { number })}
        </p>
        <h1>
          <Link href={`/my/${number}`}>
            {application.choices
              .filter((c) => !c.withdrawn || application.choices.every((d) => d.withdrawn))
              .map((c) => `${c.award} ${c.title[language]}`)
              .join(", ")}
          </Link>
        </h1>
      </header>
      <SectionNav
        number={number}
        items={items}
        overview={say(language, "form.toOverview")}
        label={say(language, "app.sections")}
        complete={say(language, "standing.complete")}
      />
      <div className="application-body">{children}</div>
    </div>
  );
}
