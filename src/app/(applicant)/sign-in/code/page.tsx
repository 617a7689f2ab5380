import Link from "next/link";
import { sentence } from "../../../../text/sentence";
import { AccountForm } from "../../../../ui/people/account-form.client";
import { locale } from "../../../request";
import { signInCodeAction } from "../../account/account.action";

/** The second half of signing in, for whoever has a second factor: the code of the device, or a recovery code. */
export default async function SignInCodePage({
  searchParams,
}: {
  searchParams: Promise<{ to?: string; with?: string }>;
}) {
  const language = await locale();
  const { to, with: kind } = await searchParams;
  const t = (key: Parameters<typeof sentence>[1]) => sentence(language, key);
  const byRecovery = kind === "recovery";
  const back = to ? `to=${encodeURIComponent(to)}` : "";
  const other = byRecovery ? `/sign-in/code?${back}` : `/sign-in/code?with=recovery&${back}`;
  return (
    <div className="sheet narrow">
      <h1>{t("account.codeTitle")}</h1>
      <AccountForm
        key={byRecovery ? "recovery" : "device"}
        unavailable={t("account.unavailable")}
        action={signInCodeAction}
        submit={t("account.codeSend")}
        hidden={{ to: to ?? "", kind: byRecovery ? "recovery" : "device" }}
        fields={[
          byRecovery
            ? { name: "code", kind: "text", label: t("account.recoveryCode"), help: t("account.recoveryHelp") }
            : { name: "code", kind: "code", label: t("account.code") },
        ]}
        problems={{
          wrongCode: { text: t("account.wrongCode"), field: "code" },
          wrongRecovery: { text: t("account.wrongRecovery"), field: "code" },
          codeOver: { text: t("account.codeOver") },
          codeLocked: { text: t("account.codeLocked") },
        }}
        done={null}
      />
      <p>
        <Link href={other}>{t(byRecovery ? "account.withDevice" : "account.withRecovery")}</Link>
      </p>
      <p>
        <Link href={`/sign-in?${back}`}>{t("account.codeOther")}</Link>
      </p>
      <p className="help">{t("account.lostBoth")}</p>
    </div>
  );
}
