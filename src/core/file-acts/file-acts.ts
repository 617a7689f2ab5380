import type { z } from "zod";
import {
  endReopeningInput,
  moveChoiceInput,
  moveProgrammeInput,
  moveToRulebookInput,
  readCorrectionsInput,
  refuseCorrectionInput,
  reopenSectionsInput,
} from "../application/inputs";
import {
  askApplicantInput,
  extendAskInput,
  readAnswerInput,
  sendAskListInput,
  settleAskInput,
  takeAsksBackInput,
} from "../asks/inputs";
import {
  addTaskInput,
  dropTaskInput,
  endAdjustmentInput,
  endOverrideInput,
  finishTaskInput,
  grantAdjustmentInput,
  handFileInput,
  overrideFindingInput,
  takeFileInput,
} from "../assessment/inputs";
import { extendChoiceInput } from "../catalogue/inputs";
import { contactPlaceInput, noteContactInput } from "../contact/inputs";
import {
  fileAttachmentInput,
  settleMessagesInput,
  takeMessageBackInput,
  writeToApplicantInput,
} from "../conversation/inputs";
import { leaveOutPageInput, writeSummaryInput } from "../copies/inputs";
import { dropDecisionInput, prepareDecisionInput, releaseDecisionInput } from "../decision/inputs";
import {
  acceptEvidenceInput,
  confirmValuesInput,
  doDeedInput,
  excuseRequirementInput,
  filePagesInput,
  noteKeeperInput,
  noteLinkInput,
  putTogetherInput,
  remindApplicantInput,
  returnEvidenceInput,
  setAsideTwinInput,
  signatureInput,
  takeApartInput,
  undoDeedInput,
  undoJudgementInput,
} from "../evidence/inputs";
import { takeBackLineInput } from "../form/inputs";
import { correctAddressInput, sendAgainInput, settleReturnedInput } from "../mail/inputs";
import { addNoteInput, dropNoteInput, markFileInput } from "../notes/inputs";
import { joinAccountsInput, judgeSamePersonInput, partAccountsInput } from "../people/inputs";
import {
  inspectPaperInput,
  matchPaperInput,
  notePaperInput,
  sendPaperBackInput,
  takePaperBackInput,
} from "../post/inputs";
import { correctRefereeInput, endReferenceInput, extendReferenceInput, requestInput } from "../references/requests";
import { askRegistryInput, takeRegistryResultsInput } from "../results/inputs";
import { caseInput, ruleOnCaseInput } from "../rulings/inputs";
import { judgeLikenessInput } from "../statements/inputs";

/** What an office does on the page of a file: the acts by their names, with what each takes. */
export const FILE_ACT_INPUTS = {
  "accept-evidence": acceptEvidenceInput,
  "add-task": addTaskInput,
  "ask-applicant": askApplicantInput,
  "ask-contact": contactPlaceInput,
  "ask-registry": askRegistryInput,
  "confirm-values": confirmValuesInput,
  "correct-address": correctAddressInput,
  "do-deed": doDeedInput,
  "drop-decision": dropDecisionInput,
  "drop-task": dropTaskInput,
  "extend-ask": extendAskInput,
  "file-attachment": fileAttachmentInput,
  "end-adjustment": endAdjustmentInput,
  "end-case-ruling": caseInput,
  "end-override": endOverrideInput,
  "end-reopening": endReopeningInput,
  "excuse-requirement": excuseRequirementInput,
  "extend-choice": extendChoiceInput,
  "correct-referee": correctRefereeInput,
  "extend-reference": extendReferenceInput,
  "end-reference": endReferenceInput,
  "send-reference-again": requestInput,
  "file-pages": filePagesInput,
  "finish-task": finishTaskInput,
  "grant-adjustment": grantAdjustmentInput,
  "judge-likeness": judgeLikenessInput,
  "judge-same-person": judgeSamePersonInput,
  "join-accounts": joinAccountsInput,
  "part-accounts": partAccountsInput,
  "leave-out-page": leaveOutPageInput,
  "move-choice": moveChoiceInput,
  "move-programme": moveProgrammeInput,
  "move-to-rulebook": moveToRulebookInput,
  "note-contact": noteContactInput,
  "note-keeper": noteKeeperInput,
  "note-link": noteLinkInput,
  "override-finding": overrideFindingInput,
  "prepare-decision": prepareDecisionInput,
  "put-together": putTogetherInput,
  "inspect-paper": inspectPaperInput,
  "match-paper": matchPaperInput,
  "note-paper": notePaperInput,
  "send-paper-back": sendPaperBackInput,
  "take-paper-back": takePaperBackInput,
  "read-answer": readAnswerInput,
  "read-corrections": readCorrectionsInput,
  "refuse-correction": refuseCorrectionInput,
  "release-decision": releaseDecisionInput,
  "remind-signature": signatureInput,
  "reopen-sections": reopenSectionsInput,
  "return-evidence": returnEvidenceInput,
  "rule-on-case": ruleOnCaseInput,
  "send-again": sendAgainInput,
  "send-ask-list": sendAskListInput,
  "take-apart": takeApartInput,
  "take-asks-back": takeAsksBackInput,
  "set-aside-twin": setAsideTwinInput,
  "settle-ask": settleAskInput,
  "suggest-move": moveProgrammeInput,
  "take-back-line": takeBackLineInput,
  "hand-file": handFileInput,
  "remind-applicant": remindApplicantInput,
  "add-note": addNoteInput,
  "drop-note": dropNoteInput,
  "mark-file": markFileInput,
  "unmark-file": markFileInput,
  "settle-messages": settleMessagesInput,
  "settle-returned": settleReturnedInput,
  "take-message-back": takeMessageBackInput,
  "write-to-applicant": writeToApplicantInput,
  "take-file": takeFileInput,
  "take-registry-results": takeRegistryResultsInput,
  "leave-registry-results": takeRegistryResultsInput,
  "undo-deed": undoDeedInput,
  "undo-judgement": undoJudgementInput,
  "write-summary": writeSummaryInput,
} as const;

export type FileActName = keyof typeof FILE_ACT_INPUTS;

/** What an act takes beside the file on whose page it is done. */
export type FileActInput<Name extends FileActName> = Omit<z.input<(typeof FILE_ACT_INPUTS)[Name]>, "applicationId">;

/** Does one of them on the file that is shown. @returns null when it was done, else the sentence that says why not */
export type ActOnFile = <Name extends FileActName>(act: Name, input: FileActInput<Name>) => Promise<string | null>;
