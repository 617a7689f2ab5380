/** What became of the last act of a form: nothing yet, done, or refused with the reason. */
export type Said = { readonly text: string; readonly bad: boolean } | null;

/** The line beside a form's presses that says what became of the last one. */
export function SaidLine({ said }: { said: Said }) {
  return said ? (
    <span role="status" className={said.bad ? "wrong" : "quiet"}>
      {said.text}
    </span>
  ) : null;
}
