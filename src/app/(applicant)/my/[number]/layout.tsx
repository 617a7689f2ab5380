import Link from "next/link";
import type { ReactNode } from "react";
import type { Locale } from "../../../../core/text/local-text";
import { sentence } from "../../../../text/sentence";
import { sectionPage } from "../../../../ui/application/applicant-step";
import { SectionNav } from "../../../../ui/form/section-nav.client";
import type { MyApplication } from "../../../../views/application/application-data";
import { locale } from "../../../request";
import { loadApplication } from "./load";

/** Whom people may ask, on every page: once where several programmes have the same. */
function Contacts({ choices, language }: { choices: MyApplication["choices"]; language: Locale }) {
  const known = choices.filter((c) => !c.withdrawn).flatMap((c) => (c.contact ? [c.contact] : []));
  const contacts = known.filter((c, i) => known.findIndex((d) => d.email === c.email) === i);
  if (contacts.length === 0) return null;
  return (
    <footer className="contacts quiet">
      {sentence(language, "app.contact")}{" "}
      {contacts.map((c, i) => (
        <span key={c.email}>
          {i > 0 ? "; " : ""}
          {c.name}, <a href={`mailto:${c.email}`}>{c.email}</a>
          {c.phone ? `, ${c.phone}` : ""}
        </span>
      ))}
    </footer>
  );
}

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
  const asked = application.sections.filter((s) => s.applies && s.core !== "tests" && s.core !== "declaration");
  const [first] = asked;
  const parts =
    application.onePage && first
      ? [
          {
            key: sectionPage(first.key, first.scope),
            pages: asked.map((s) => sectionPage(s.key, s.scope)),
            title: sentence(language, "app.answers"),
            done: application.sections.every((s) => s.core === "declaration" || s.gaps.length === 0),
          },
        ]
      : asked.map((s) => ({
          key: sectionPage(s.key, s.scope),
          title: s.programme ? `${s.title[language]} · ${s.programme}` : s.title[language],
          done: s.gaps.length === 0,
        }));
  const { requirements } = application.assessment;
  const settled = (kinds: readonly string[]) =>
    requirements.filter((r) => kinds.includes(r.kind)).every((r) => !["missing", "returned"].includes(r.standing));
  const declaration = application.sections.find((s) => s.core === "declaration");
  const items = [
    { key: "choices", title: sentence(language, "choices.title"), done: application.choices.some((c) => !c.withdrawn) },
    ...parts,
    { key: "documents", title: sentence(language, "doc.title"), done: settled(["document"]) },
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
          <Link href="/my">{sentence(language, "nav.mine")}</Link> · {sentence(language, "mine.number", { number })}
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
        overview={sentence(language, "form.toOverview")}
        label={sentence(language, "app.sections")}
        complete={sentence(language, "standing.complete")}
      />
      <div className="application-body">
        {children}
        <Contacts choices={application.choices} language={language} />
      </div>
    </div>
  );
}
