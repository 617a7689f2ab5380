"use client";

import { useEffect, useState } from "react";
import { keptAnswers, wantsToCarry } from "./kept-answers";

/** Puts the answers of a self-check into the form that begins the application, where the visitor asked for that. */
export function CarryAnswers({ code }: { code: string }) {
  const [answers, setAnswers] = useState("");
  useEffect(() => {
    if (wantsToCarry(code)) setAnswers(JSON.stringify(keptAnswers(code)));
  }, [code]);
  return answers === "" ? null : <input type="hidden" name="answers" value={answers} />;
}
