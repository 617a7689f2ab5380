import Link from "next/link";
import type { ReactNode } from "react";
import { programmeName } from "../../../../core/catalogue/programme";
import { sectionKey } from "../../../../core/file/place";
import type { FormSection } from "../../../../core/form/form-sections";
import type { Locale } from "../../../../core/text/local-text";
import { sentence } from "../../../../text/sentence";
import { sectionPage } from "../../../../ui/application/addresses";
import { AskLink } from "../../../../ui/conversation/ask-link.client";
import { NextPart, type Part, PartsProvider } from "../../../../ui/form/parts.client";
import { SectionNav } from "../../../../ui/form/section-nav.client";
import type { MyApplication } from "../../../../views/application/application-data";
import { locale } from "../../../request";
import { feesTitle } from "./[section]/fee-page";
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
  const asked = application.sections.filter((s) => s.core !== "tests" && s.core !== "declaration");
  const [first] = asked.filter((s) => s.applies);
  const pageOf = ({ key, scope }: FormSection) => sectionPage(key, scope);
  const placeOf = ({ key, scope }: FormSection) => sectionKey({ scope, section: key });
  const parts: readonly Part[] =
    application.onePage && first
      ? [
          {
            key: pageOf(first),
            pages: asked.map(pageOf),
            title: sentence(language, "app.answers"),
            applies: true,
            done: application.sections.every((s) => s.core === "declaration" || s.gaps.length === 0),
            sections: application.sections.filter((s) => s.core !== "declaration").map(placeOf),
          },
        ]
      : asked.map((s) => ({
          key: pageOf(s),
          title: s.programme ? `${s.title[language]} · ${s.programme}` : s.title[language],
          applies: s.applies,
          done: s.gaps.length === 0,
          sections: [placeOf(s)],
        }));
  const { requirements } = application.assessment;
  const settled = (kinds: readonly string[]) =>
    requirements.filter((r) => kinds.includes(r.kind)).every((r) => !["missing", "returned"].includes(r.standing));
  const declaration = application.sections.find((s) => s.core === "declaration");
  const fees = feesTitle(application, language);
  const items: readonly Part[] = [
    {
      key: "choices",
      title: sentence(language, "choices.title"),
      applies: true,
      // A promise that the submission waits for is part of it.
      done: application.choices.some((c) => !c.withdrawn) && application.undertaking?.givenAt !== null,
    },
    ...parts,
    { key: "documents", title: sentence(language, "doc.title"), applies: true, done: settled(["document"]) },
    ...(fees ? [{ key: "fee", title: fees, applies: true, done: settled(["fee"]) }] : []),
    ...(declaration
      ? [
          {
            key: declaration.key,
            title: declaration.title[language],
            applies: declaration.applies,
            done: declaration.gaps.length === 0,
            sections: [placeOf(declaration)],
          },
        ]
      : []),
  ];
  return (
    <PartsProvider parts={items}>
      <div className="application">
        <header className="application-head">
          <p className="quiet">
            <Link href="/my">{sentence(language, "nav.mine")}</Link> · {sentence(language, "mine.number", { number })}
          </p>
          <h1>
            <Link href={`/my/${number}`}>
              {application.choices
                .filter((c) => !c.withdrawn || application.choices.every((d) => d.withdrawn))
                .map((c) => programmeName(c, language))
                .join(", ")}
            </Link>
          </h1>
          <p>
            <Link href={`/my/${number}/conversation`} className={application.unread > 0 ? "strong" : "quiet"}>
              {sentence(language, "conversation.title")}
              {application.unread > 0
                ? ` · ${sentence(language, "conversation.unread", { count: application.unread })}`
                : ""}
            </Link>
          </p>
        </header>
        <SectionNav
          number={number}
          overview={sentence(language, "form.toOverview")}
          label={sentence(language, "app.sections")}
          complete={sentence(language, "standing.complete")}
        />
        <div className="application-body">
          {children}
          <NextPart number={number} locale={language} />
          <p className="ask-here">
            <AskLink number={number} label={sentence(language, "conversation.ask")} />
          </p>
          <Contacts choices={application.choices} language={language} />
        </div>
      </div>
    </PartsProvider>
  );
}
