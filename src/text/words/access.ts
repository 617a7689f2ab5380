import type { AccessKind } from "../../core/record/access";

interface Line {
  readonly kind: AccessKind;
  readonly concerns: string | null;
  readonly file: string | null;
  readonly about: string;
}

/** A line of the access record in words, without who it was and when. */
export function accessWords({ kind, concerns, file, about }: Line): string {
  const whom = concerns || "somebody who is gone";
  switch (kind) {
    case "signed in":
      return "signed in";
    case "sign-in failed":
      return "a wrong password was typed";
    case "kept out":
      return "kept out after too many wrong passwords";
    case "code failed":
      return "a wrong code was typed after the right password";
    case "recovery code used":
      return "used a recovery code";
    case "second factor set":
      return "set up a second factor";
    case "second factor removed":
      return "took the second factor away";
    case "passkey added":
      return "added a passkey";
    case "passkey removed":
      return "removed a passkey";
    case "let back in":
      return `let ${whom} back in`;
    case "accounts joined":
      return `gave the files ${about} to the account of ${whom}`;
    case "accounts parted":
      return `gave the files ${about} back to the account of ${whom}`;
    case "invited":
      return `invited ${whom} as ${about}`;
    case "role given":
      return `gave ${whom} the role ${about}`;
    case "role taken":
      return `took the role ${about} from ${whom}`;
    case "erased":
      return concerns ? `answered the wish of ${concerns} to be erased` : "erased somebody who had asked for it";
    case "file opened":
      return `opened ${file}`;
    case "document opened":
      return `opened a document of ${file}${about === "" ? "" : `: ${about}`}`;
    case "copy downloaded":
      return `downloaded the application ${file}`;
    case "list downloaded": {
      const [what = "", count = ""] = about.split(", ");
      return `downloaded a list: ${what}, ${count} ${count === "1" ? "line" : "lines"}`;
    }
  }
}
