import Link from "next/link";
import { notFound } from "next/navigation";
import { RULEBOOK_READERS } from "../../../../core/rights/actor";
import { webRuntime } from "../../../../runtime";
import { ConfirmPress } from "../../../../ui/frame/confirm-press.client";
import { CorrectScales } from "../../../../ui/standards/correct-scales.client";
import { InstitutionForm } from "../../../../ui/standards/institution-form.client";
import { MergeForm } from "../../../../ui/standards/merge-form.client";
import { institutionPage } from "../../../../views/standards/institutions";
import { otherScales } from "../../../../views/standards/other-scales";
import { officeNow } from "../../../../views/view/office-now";
import { requireStaff, see } from "../../../request";
import { correctScales, merge, storeInstitution, unlinkName } from "../institutions.action";

/** One institution of the register: what is known of it, what leads to it, and the files that name it. */
export default async function Institution({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const person = await requireStaff(`/office/institutions/${id}`, RULEBOOK_READERS);
  const page = await see(institutionPage, person.actor, { institutionId: id });
  if (!page) notFound();
  const { set } = await officeNow((await webRuntime()).pool);
  const others = await see(otherScales, person.actor, { institutionId: id });
  const scaleTitle = (key: string) => set.scales.find((s) => s.key === key)?.title.en ?? key;
  const { version, written, files, mayKeep: _keep, changedAt: _, ...known } = page;
  return (
    <div className="office-sheet wide">
      <p>
        <Link href="/office/institutions">Institutions</Link>
      </p>
      <h1>{page.name}</h1>
      <InstitutionForm
        key={version}
        known={known}
        scales={set.scales.map((s) => ({ value: s.key, label: s.title.en }))}
        mayChange={page.mayKeep}
        store={storeInstitution.bind(null, { id, version })}
      />
      {written.length > 0 ? (
        <section className="plan-part">
          <h2>
            Written by applicants <span className="quiet">and leading here</span>
          </h2>
          <ul className="plain-list">
            {written.map((w) => (
              <li key={w.id}>
                {w.name}{" "}
                {page.mayKeep ? (
                  <ConfirmPress
                    action={unlinkName.bind(null, w.id)}
                    label="It is another"
                    question={`“${w.name}” no longer leads to ${page.name}. It stands among the unknown names again.`}
                    locale="en"
                  />
                ) : null}
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      {others ? (
        <section className="plan-part">
          <h2>
            Counted on another scale <span className="quiet">than {scaleTitle(others.usual)}</span>
          </h2>
          {others.files.length === 0 ? <p className="quiet">None of its submitted degrees.</p> : null}
          <ul className="plain-list in-columns">
            {others.files.map((f) => (
              <li key={`${f.number} ${f.entry}`}>
                <Link href={`/office/files/${f.number}`}>
                  <span className="figures">{f.number}</span> {f.name}
                </Link>{" "}
                <span className="quiet">{scaleTitle(f.scale)}</span>
              </li>
            ))}
          </ul>
          <CorrectScales
            scale={scaleTitle(others.usual)}
            files={others.files.length}
            correct={correctScales.bind(null, id)}
          />
        </section>
      ) : null}
      <section className="plan-part">
        <h2>Files that name it</h2>
        {files.length === 0 ? <p className="quiet">None.</p> : null}
        <ul className="plain-list in-columns">
          {files.map((f) => (
            <li key={`${f.number} ${f.wrote}`}>
              <Link href={`/office/files/${f.number}`}>
                <span className="figures">{f.number}</span> {f.name}
              </Link>{" "}
              <span className="quiet">{f.wrote === page.name ? "" : `wrote “${f.wrote}”`}</span>
            </li>
          ))}
        </ul>
      </section>
      {page.mayKeep ? (
        <section className="plan-part">
          <h2>Stands twice?</h2>
          <MergeForm id={id} name={page.name} merge={merge.bind(null, id)} />
        </section>
      ) : null}
    </div>
  );
}
