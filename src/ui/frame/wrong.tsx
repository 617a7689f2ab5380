/** The sentence that says why something was not done; nothing where it was. */
export const Wrong = ({ text }: { text: string | null }) =>
  text ? (
    <p role="alert" className="wrong">
      {text}
    </p>
  ) : null;
