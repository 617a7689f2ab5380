"use client";

import { Button, Checkbox, Input, Select } from "antd";
import { useRouter } from "next/navigation";
import { useId, useState } from "react";
import { draftAsks, sectionsLacking } from "../../core/asks/draft-asks";
import { LONGEST_ASK, MOST_ITEMS } from "../../core/asks/inputs";
import { fieldsIn } from "../../core/conversation/merge";
import type { AskWants } from "../../core/file/facts";
import { type RequirementPlace, resultKey, sectionKey } from "../../core/file/place";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { sentence } from "../../text/sentence";
import { askLines } from "../../text/words/ask-lines";
import { renderMail } from "../../text/words/render-mail";
import { reasonText } from "../../text/words/return-reasons";
import type { FileData } from "../../views/assessment/file-data";
import { requirementName } from "../assessment/entry-name";
import { StockText } from "../conversation/stock-text.client";
import { DayInput } from "../form/fields/day-input.client";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

interface Item {
  readonly id: string;
  readonly at: RequirementPlace | null;
  readonly wants: AskWants;
  readonly text: string;
  readonly taken: boolean;
  /** Why it is not taken to begin with. */
  readonly note: string;
}

const LANGUAGES = { en: "English", fr: "French" } as const;
const titleAt = (data: FileData, at: RequirementPlace | null) =>
  at === null
    ? null
    : (data.assessment.requirements.find((r) => resultKey({ ...at, key: at.requirement }) === resultKey(r))?.title ??
      null);

/** What the file lacks, each in words that can be sent as they are. */
function drafted(data: FileData): readonly Item[] {
  const locale = data.writesIn;
  return draftAsks(data.assessment.requirements, data.asks).map(({ place, ground, result, asked }) => {
    const code = result.kind === "document" ? result.reason : null;
    const words = Object.fromEntries(data.writing.reasons.map((r) => [r.key, r.words]));
    const returned = reasonText(locale, code, words);
    const proof = result.kind === "document" ? result.owedProof?.level : undefined;
    const said = sentence(locale, `ask.draft.${ground}`, {
      proof: proof ? sentence(locale, `proof.${proof}`) : "",
    });
    return {
      id: resultKey(result),
      at: place,
      wants: "evidence",
      text: ground === "again" && returned ? `${returned} ${said}` : said,
      taken: !asked,
      note: asked ? "asked for already" : result.standing,
    };
  });
}

/** One line of the list: taken or not, what it is about, and the words for it. */
function ItemRow({
  item,
  title,
  onChange,
  onDrop,
  onEnter,
}: {
  item: Item;
  title: string;
  onChange: (item: Item) => void;
  onDrop: (() => void) | null;
  /** When it is begun to be written in. */
  onEnter: () => void;
}) {
  const id = useId();
  return (
    <li>
      <Checkbox checked={item.taken} onChange={(e) => onChange({ ...item, taken: e.target.checked })}>
        {title} <span className="quiet">{item.note}</span>
      </Checkbox>
      {onDrop ? (
        <button type="button" className="bare" onClick={onDrop}>
          Take out
        </button>
      ) : null}
      {item.taken ? (
        <>
          <label htmlFor={id} className="hidden-text">
            {item.wants === "words" ? `Question: ${title}` : `Words for ${title}`}
          </label>
          <Input.TextArea
            id={id}
            autoSize={{ minRows: 1 }}
            maxLength={LONGEST_ASK}
            value={item.text}
            onFocus={onEnter}
            onChange={(e) => onChange({ ...item, text: e.target.value })}
          />
        </>
      ) : null}
    </li>
  );
}

/** What may be added to the list by hand: any paper, and a question about anything. */
function useAdditions(data: FileData, items: readonly Item[]) {
  const others = data.assessment.requirements.filter(
    (r) => (r.kind === "document" || r.kind === "reference") && !items.some((i) => i.id === resultKey(r)),
  );
  return [
    { value: "", label: "A question" },
    ...others.map((r) => ({
      value: `evidence ${resultKey(r)}`,
      label: `Again, or more of: ${requirementName(data, r)}`,
    })),
    ...data.assessment.requirements
      .filter((r) => r.kind === "document" && r.evidence.length > 0)
      .map((r) => ({ value: `words ${resultKey(r)}`, label: `A question about: ${requirementName(data, r)}` })),
  ];
}

/** Several things asked for in one mail: drafted from what the file lacks, edited, read as the applicant will read it, and sent. */
export function AskList({
  data,
  askDay,
  because,
  act,
}: {
  data: FileData;
  askDay: string;
  /** What the applicant wrote, where that is why something is asked for. */
  because: string | null;
  act: ActOnFile;
}) {
  const router = useRouter();
  const [items, setItems] = useState<readonly Item[]>(() => drafted(data));
  const [sections, setSections] = useState<readonly string[]>(() =>
    sectionsLacking(data.assessment.requirements)
      .map(sectionKey)
      .filter((key) => data.reopenable.some((s) => sectionKey(s) === key)),
  );
  const [correction, setCorrection] = useState("");
  const [words, setWords] = useState("");
  /** Where it was written last: in an item, by its id, or above the list. */
  const [at, setAt] = useState<string | null>(null);
  const [answers, setAnswers] = useState(because !== null);
  const [due, setDue] = useState(askDay);
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const additions = useAdditions(data, items);
  const taken = items.filter((i) => i.taken);
  const opened = data.reopenable.filter((s) => sections.includes(sectionKey(s)));
  const lacks = [
    ...(taken.length + opened.length === 0 ? ["choose or add something"] : []),
    ...(taken.some((i) => i.text.trim() === "") ? ["say what is asked for in each line"] : []),
    ...(opened.length > 0 && correction.trim() === "" ? ["say what is to be corrected"] : []),
    ...(due === "" ? ["say by when"] : []),
    ...(fieldsIn([words, correction, ...taken.map((i) => i.text)].join(" ")).length > 0
      ? ["fill in what stands in braces"]
      : []),
  ];
  const add = (value: string) => {
    const [wants = "", key = ""] = value.split(" ");
    const about = data.assessment.requirements.find((r) => resultKey(r) === key);
    setItems([
      ...items,
      {
        id: about && wants === "evidence" ? key : crypto.randomUUID(),
        at: about ? { requirement: about.key, scope: about.scope, entry: about.entry } : null,
        wants: wants === "evidence" ? "evidence" : "words",
        text: "",
        taken: true,
        note: wants === "evidence" ? (about?.standing ?? "") : "to be answered in words",
      },
    ]);
  };
  const locale = data.writesIn;
  const mail = renderMail(
    locale,
    "asked-list",
    {
      name: data.name,
      number: data.number,
      words,
      said: words.trim() === "" ? "0" : "1",
      list: askLines(
        locale,
        taken.map((i) => ({ title: titleAt(data, i.at), text: i.text })),
        {
          titles: opened.map(
            (s) => data.sections.find((d) => d.key === s.section)?.title ?? { en: s.title, fr: s.title },
          ),
          text: correction,
        },
      ),
      due,
      link: `/my/${data.number}`,
    },
    null,
    data.writing.askedList,
  );
  const send = () =>
    begin(async () => {
      const refused = await act("send-ask-list", {
        items: taken.map(({ at, wants, text }) => ({
          ...(at ?? { requirement: "", scope: "file", entry: "" }),
          wants,
          text,
        })),
        sections: opened.map(({ scope, section }) => ({ scope, section })),
        correction,
        words,
        answers: answers && because !== null,
        due,
      });
      setWrong(refused);
      if (refused !== null) return;
      setItems(items.filter((i) => !i.taken));
      setSections([]);
      setWords("");
      setCorrection("");
      router.refresh();
    });
  const here = taken.find((i) => i.id === at);
  const titleOf = ({ at: place }: Item): string => {
    const result = data.assessment.requirements.find(
      (r) => place && resultKey(r) === resultKey({ ...place, key: place.requirement }),
    );
    return result ? requirementName(data, result) : "A question";
  };
  const count = taken.length + (opened.length > 0 ? 1 : 0);
  return (
    <form
      className="ask-list"
      aria-label="Ask for several things"
      onSubmit={(e) => {
        e.preventDefault();
        if (lacks.length === 0) send();
      }}
      onKeyDown={(e) => {
        if (e.key === "Enter" && (e.ctrlKey || e.metaKey) && lacks.length === 0 && !busy) send();
      }}
    >
      <div>
        <h2>Ask for several things at once</h2>
        {because === null ? null : (
          <blockquote className="because">
            <p className="quiet">They wrote:</p>
            <p className="letter">{because}</p>
            <Checkbox checked={answers} onChange={(e) => setAnswers(e.target.checked)}>
              This answers what they wrote
            </Checkbox>
          </blockquote>
        )}
        {items.length === 0 ? (
          <p className="empty">
            Nothing is lacking that could be asked for. Add a question, or something that is wanted again.
          </p>
        ) : null}
        <ul>
          {items.map((item) => {
            return (
              <ItemRow
                key={item.id}
                item={item}
                title={titleOf(item)}
                onEnter={() => setAt(item.id)}
                onChange={(next) => setItems(items.map((i) => (i.id === item.id ? next : i)))}
                onDrop={
                  item.wants === "words" || item.text === "" ? () => setItems(items.filter((i) => i !== item)) : null
                }
              />
            );
          })}
        </ul>
        {items.length < MOST_ITEMS ? (
          <div className="field">
            <label htmlFor="ask-add">Add</label>
            <Select
              id="ask-add"
              value={null}
              placeholder="A question, or a paper that is here already"
              onChange={add}
              showSearch={{ optionFilterProp: "label" }}
              options={additions}
              style={{ width: "100%" }}
            />
          </div>
        ) : null}
        {data.reopenable.length > 0 ? (
          <div className="field">
            <label htmlFor="ask-sections">Sections to open for correction</label>
            <Select
              id="ask-sections"
              mode="multiple"
              value={[...sections]}
              onChange={setSections}
              optionFilterProp="label"
              placeholder="None"
              options={data.reopenable.map((s) => ({ value: sectionKey(s), label: s.title }))}
              style={{ width: "100%" }}
            />
          </div>
        ) : null}
        {opened.length > 0 ? (
          <div className="field">
            <label htmlFor="ask-correction">What is to be corrected in them</label>
            <Input.TextArea
              id="ask-correction"
              autoSize={{ minRows: 1 }}
              maxLength={LONGEST_ASK}
              value={correction}
              onChange={(e) => setCorrection(e.target.value)}
            />
          </div>
        ) : null}
        <div className="field">
          <label htmlFor="ask-words">Words above the list, if you want some</label>
          <Input.TextArea
            id="ask-words"
            autoSize={{ minRows: 1 }}
            maxLength={LONGEST_ASK}
            value={words}
            onFocus={() => setAt(null)}
            onChange={(e) => setWords(e.target.value)}
          />
        </div>
        <StockText
          id="ask-take"
          use="ask"
          aids={data.writing}
          label={here ? `A text of the office for “${titleOf(here)}”` : "A text of the office above the list"}
          text={here?.text ?? words}
          onText={(text) =>
            here ? setItems(items.map((i) => (i.id === here.id ? { ...i, text } : i))) : setWords(text)
          }
        />
        <div className="field">
          <label htmlFor="ask-due">By</label>
          <DayInput id="ask-due" value={due} precision="day" locale="en" onTake={setDue} />
        </div>
        <div className="presses">
          <Button type="primary" htmlType="submit" loading={busy} disabled={lacks.length > 0}>
            {count === 0 ? "Send" : count === 1 ? "Send this" : `Send these ${count}`}{" "}
            <span className="key">Ctrl ↵</span>
          </Button>
          {lacks.length > 0 ? <span className="quiet">First {lacks.join(", and ")}.</span> : null}
        </div>
        <p className="quiet">
          {opened.length > 0
            ? "The mail goes at once: what is opened is open at once."
            : "The mail goes in ten seconds; until then it can be taken back."}
        </p>
        <Wrong text={wrong} />
      </div>
      {count === 0 ? null : (
        <section className="ask-preview" aria-label="The mail">
          <h3>
            What they read <span className="quiet">· in {LANGUAGES[locale]}</span>
          </h3>
          <p className="strong">{mail.subject}</p>
          <p className="letter">{mail.body}</p>
        </section>
      )}
    </form>
  );
}
