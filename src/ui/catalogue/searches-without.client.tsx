"use client";

import { Button, Select } from "antd";
import { useState } from "react";
import { useAsking } from "../frame/unanswered.client";
import { Wrong } from "../frame/wrong";

interface Props {
  readonly searches: readonly {
    readonly words: string;
    readonly campus: string;
    readonly place: string | null;
    readonly times: number;
    readonly last: string;
  }[];
  readonly programmes: readonly { readonly value: string; readonly label: string }[];
  readonly mayChange: boolean;
  readonly settle: (words: string, campus: string, code: string | null) => Promise<string | null>;
}

/** What visitors looked for and did not find: words become words by which a programme is found, or are put away. */
export function SearchesWithout({ searches, programmes, mayChange, settle }: Props) {
  const [chosen, setChosen] = useState<Readonly<Record<string, string>>>({});
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, begin] = useAsking();
  const end = (words: string, campus: string, code: string | null) =>
    begin(async () => {
      setWrong(await settle(words, campus, code));
    });
  return (
    <section className="plan-part">
      <h2>
        Looked for and not found <span className="quiet">by visitors, in the last half year</span>
      </h2>
      <Wrong text={wrong} />
      <table className="plain-table">
        <thead>
          <tr>
            <th>Words</th>
            <th>Where</th>
            <th>Times</th>
            <th>Last</th>
            {mayChange ? <th>Let a programme be found by them</th> : null}
          </tr>
        </thead>
        <tbody>
          {searches.map(({ words, campus, place, times, last }) => (
            <tr key={`${words} ${campus}`}>
              <td>{words === "" ? <span className="quiet">any programme</span> : words}</td>
              <td>{place ?? <span className="quiet">anywhere</span>}</td>
              <td className="figures">{times}</td>
              <td className="figures">{last}</td>
              {mayChange ? (
                <td>
                  <span className="presses">
                    {words === "" ? null : (
                      <>
                        <Select
                          showSearch
                          optionFilterProp="label"
                          aria-label={`Programme for ${words}`}
                          placeholder="a programme"
                          className="search-programme"
                          options={[...programmes]}
                          value={chosen[words]}
                          onChange={(code: string) => setChosen((all) => ({ ...all, [words]: code }))}
                        />
                        <Button
                          disabled={!chosen[words] || busy}
                          onClick={() => end(words, campus, chosen[words] ?? null)}
                        >
                          Add the words to it
                        </Button>
                      </>
                    )}
                    <Button type="text" disabled={busy} onClick={() => end(words, campus, null)}>
                      None is meant
                    </Button>
                  </span>
                </td>
              ) : null}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
