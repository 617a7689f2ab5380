import type { ActOnFile } from "../../../../core/file-acts/file-acts";
import { formatDate, formatMoment } from "../../../../text/format";
import { ChangedAnswers } from "../../../../ui/application/changed-answers";
import { RefuseCorrection, ReopenForm, ReopenPresses } from "../../../../ui/application/reopen-form.client";
import { EducationLine } from "../../../../ui/assessment/education-line";
import { PrintCopies } from "../../../../ui/copies/print-copies.client";
import { FormAnswers } from "../../../../ui/file/form-answers.client";
import type { SubmissionLine } from "../../../../views/application/submissions";
import type { FileData, FileReopening } from "../../../../views/assessment/file-data";
import type { FileCopy } from "../../../../views/copies/copies";
import { copyThem } from "../../office.action";

function Reopening({ data, reopening, act }: { data: FileData; reopening: FileReopening; act: ActOnFile }) {
  const titles = reopening.sections.map(
    (s) => data.reopenable.find((r) => r.scope === s.scope && r.section === s.section)?.title ?? s.section,
  );
  return (
    <section className="reopening">
      <h2>{reopening.answeredAt ? "Corrected" : "Open for correction"}</h2>
      <p>
        <span className="strong">{titles.join(", ")}</span>, opened again by {reopening.by} on{" "}
        {formatMoment("en", reopening.openedAt, data.zone)}, to be sent by {formatDate("en", reopening.due)}.
      </p>
      <p className="quiet pre-line">{reopening.reason}</p>
      {reopening.answeredAt ? (
        <p>
          The applicant sent it on {formatMoment("en", reopening.answeredAt, data.zone)}. What changed stands below.
        </p>
      ) : null}
      <ReopenPresses sent={reopening.answeredAt !== null} act={act} />
    </section>
  );
}

/** What the applicant wants to correct: refused here, or granted by opening the sections, which stand below, chosen already. */
function Wish({ data, act }: { data: FileData; act: ActOnFile }) {
  const { request } = data;
  if (!request) return null;
  const titles = request.sections.map(
    (s) => data.reopenable.find((r) => r.scope === s.scope && r.section === s.section)?.title ?? s.section,
  );
  return (
    <section className="reopening">
      <h2>The applicant asks for a correction</h2>
      <p>
        <span className="strong">{titles.join(", ")}</span>, asked on {formatMoment("en", request.askedAt, data.zone)}.
      </p>
      <p className="quiet pre-line">{request.text}</p>
      <RefuseCorrection act={act} />
    </section>
  );
}

function Submissions({ data, lines }: { data: FileData; lines: readonly SubmissionLine[] }) {
  return lines.map((line) => (
    <section key={line.no} className="submission-line">
      <h2>
        Submission {line.no}{" "}
        <span className="quiet">
          {formatMoment("en", line.at, data.zone)} · {line.programmes.join(", ")}
        </span>
      </h2>
      {line.changes ? (
        <ChangedAnswers changes={line.changes} locale="en" office={data.office} none="No answer differs." />
      ) : null}
    </section>
  ));
}

/** The form as it stands, what is open for correction, and how each submission differs from the one before. */
export function Form({
  data,
  lines,
  copies,
  askDay,
  act,
}: {
  data: FileData;
  lines: readonly SubmissionLine[];
  copies: readonly FileCopy[];
  askDay: string;
  act: ActOnFile;
}) {
  const reopen =
    data.reopenable.length > 0 && data.assessment.file.stage !== "closed" ? (
      <ReopenForm
        key={data.request?.askedAt ?? ""}
        sections={data.reopenable}
        asked={data.request?.sections ?? []}
        due={askDay}
        act={act}
      />
    ) : null;
  return (
    <div className="office-form">
      <PrintCopies
        number={data.number}
        locale="en"
        zone={data.zone}
        copies={copies}
        labels={{ form: "All answers as PDF", whole: "Answers and documents in one PDF" }}
        order={copyThem.bind(null, [data.id], "office")}
      />
      <Wish data={data} act={act} />
      {data.reopenings
        .filter((r) => r.readAt === null)
        .map((r) => (
          <Reopening key={r.id} data={data} reopening={r} act={act} />
        ))}
      {data.request ? reopen : null}
      <Submissions data={data} lines={lines} />
      {data.request ? null : reopen}
      <EducationLine zone={data.zone} values={data.values} now={data.now} start={data.choices[0]?.start ?? null} />
      <FormAnswers data={data} askDay={askDay} act={act} />
    </div>
  );
}
