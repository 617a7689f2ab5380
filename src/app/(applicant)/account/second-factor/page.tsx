import { recoveryCodesLeft } from "../../../../auth/second-factor";
import { webRuntime } from "../../../../runtime";
import { sentence } from "../../../../text/sentence";
import { SecondFactor } from "../../../../ui/people/second-factor.client";
import { currentSession, locale, requirePerson } from "../../../request";
import { safePath } from "../../../safe-path";
import { begin, confirm, remove, renew } from "./second-factor.action";

/** Sets up the second factor of whoever is signed in, or looks after it. */
export default async function SecondFactorPage({ searchParams }: { searchParams: Promise<{ to?: string }> }) {
  const { to } = await searchParams;
  await requirePerson("/account/second-factor");
  const [language, session, runtime] = await Promise.all([locale(), currentSession(), webRuntime()]);
  const isOn = session?.user.twoFactorEnabled === true;
  return (
    <div className="sheet narrow">
      <h1>{sentence(language, "account.factorTitle")}</h1>
      <SecondFactor
        locale={language}
        codesLeft={isOn ? await recoveryCodesLeft(runtime, session.user.id) : null}
        required={runtime.settings.secondFactor === "required"}
        to={safePath(to) ?? "/account"}
        begin={begin}
        confirm={confirm}
        renew={renew}
        remove={remove}
      />
    </div>
  );
}
