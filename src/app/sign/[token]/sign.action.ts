"use server";

import { revalidatePath } from "next/cache";
import { z } from "zod";
import type { Outcome } from "../../../acts/act/act";
import { hashToken } from "../../../acts/act/token";
import { declineSignature, signByLink } from "../../../acts/evidence/signatures";
import type { FormCopy } from "../../../core/form/form-copy";
import { webRuntime } from "../../../runtime";
import { formatMoment, formatZone } from "../../../text/format";
import { sentence } from "../../../text/sentence";
import { type SignaturePage, signatureOfLink, signaturePage } from "../../../views/evidence/signature-page";
import { locale, perform, see } from "../../request";

async function answer(token: string, outcome: Outcome<unknown>): Promise<string | null> {
  revalidatePath(`/sign/${token}`);
  if (outcome.ok) return null;
  return sentence(await locale(), outcome.reason === "invalid-input" ? "sign.nameMissing" : "sign.ended");
}

const holder = async (token: string) => {
  const requestId = await signatureOfLink((await webRuntime()).pool, hashToken(token));
  return requestId ? ({ kind: "link", requestId } as const) : null;
};

/** Looked at before anything is printed. */
const nameSchema = z.string().trim().min(1).max(200);

/** What was read and signed, as the page that the office keeps. */
function signedPage(data: SignaturePage, typed: string, language: "en" | "fr"): FormCopy {
  const pair = (label: string, value: string, long = false) => ({ label, value, long });
  return {
    title: data.title[language],
    under: sentence(language, "sign.under", { number: data.number, applicant: data.applicant }),
    parts: [
      {
        title: null,
        sections: [
          {
            key: "signed",
            title: sentence(language, "sign.about", {
              applicant: data.applicant,
              programme: data.programmes.map((p) => p[language]).join(", "),
            }),
            table: null,
            empty: null,
            entries: [
              {
                id: "",
                title: null,
                pairs: [
                  pair(sentence(language, "sign.sentence"), data.sentence[language], true),
                  pair(sentence(language, "sign.by"), typed),
                  pair(sentence(language, "sign.named"), `${data.name}, ${data.email}`),
                  pair(
                    sentence(language, "sign.at"),
                    `${formatMoment(language, data.now, data.zone)} (${formatZone(data.zone)})`,
                  ),
                ],
              },
            ],
          },
        ],
      },
    ],
    annexes: [],
    foot: `${data.number} · {page} / {pages}`,
  };
}

export async function sign(token: string, typed: string): Promise<string | null> {
  const language = await locale();
  const actor = await holder(token);
  const data = actor ? await see(signaturePage, actor, {}) : null;
  if (!actor || data?.state !== "asked") return sentence(language, "sign.ended");
  const name = nameSchema.safeParse(typed);
  if (!name.success) return sentence(language, "sign.nameMissing");
  const owner = `link:${actor.requestId}`;
  const { workshop } = await webRuntime();
  const copy = signedPage(data, name.data, language);
  const printed = await workshop.run(
    "print",
    { copy, locale: language, at: Date.parse(data.now), dossier: null },
    owner,
  );
  if (typeof printed === "string") return sentence(language, "copy.notPrinted");
  const title = `${data.title[language]}.pdf`;
  const looked = await workshop.run("inspect", { bytes: printed, name: title, picture: null }, owner);
  if (typeof looked === "string" || looked.verdict === "refuse") return sentence(language, "copy.notPrinted");
  const { verdict: _verdict, ...kept } = looked;
  return answer(token, await perform(signByLink, actor, { typed: name.data, document: { ...kept, name: title } }));
}

export async function decline(token: string): Promise<string | null> {
  const actor = await holder(token);
  return actor ? answer(token, await perform(declineSignature, actor, {})) : sentence(await locale(), "sign.ended");
}
