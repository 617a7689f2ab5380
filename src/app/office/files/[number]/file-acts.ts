import { settleMessages, takeMessageBack, writeToApplicant } from "../../../../acts/conversation/conversation";
import { addNote, dropNote, markFile, unmarkFile } from "../../../../acts/notes/notes";
import "server-only";
import type { Act } from "../../../../acts/act/act";
import { moveChoice } from "../../../../acts/application/change-choices";
import { moveProgramme, suggestMove } from "../../../../acts/application/move-programme";
import { endReopening, readCorrections, reopenSections } from "../../../../acts/application/reopen-sections";
import { refuseCorrection } from "../../../../acts/application/request-correction";
import { readAnswer } from "../../../../acts/asks/answers";
import { sendAskList, takeAsksBack } from "../../../../acts/asks/ask-list";
import { askApplicant, extendAsk, settleAsk } from "../../../../acts/asks/asks";
import { endAdjustment, grantAdjustment } from "../../../../acts/assessment/adjustments";
import { endOverride, overrideFinding } from "../../../../acts/assessment/override-finding";
import { handFile, takeFile } from "../../../../acts/assessment/take-file";
import { addTask, dropTask, finishTask } from "../../../../acts/assessment/tasks";
import { extendChoice } from "../../../../acts/catalogue/rounds";
import { askContact, noteContact } from "../../../../acts/contact/contact-notes";
import { leaveOutPage, writeSummary } from "../../../../acts/copies/section-summary";
import { dropDecision, prepareDecision, releaseDecision } from "../../../../acts/decision/decisions";
import { confirmValues } from "../../../../acts/evidence/confirm-values";
import { doDeed, undoDeed } from "../../../../acts/evidence/deeds";
import { excuseRequirement } from "../../../../acts/evidence/excuse-requirement";
import { fileAttachment } from "../../../../acts/evidence/file-attachment";
import { filePages, putTogether } from "../../../../acts/evidence/file-pages";
import { takeApart } from "../../../../acts/evidence/join-pages";
import { acceptEvidence, returnEvidence, undoJudgement } from "../../../../acts/evidence/judge-evidence";
import { noteKeeper } from "../../../../acts/evidence/note-keeper";
import { noteLink } from "../../../../acts/evidence/note-link";
import { remindApplicant } from "../../../../acts/evidence/remind-applicant";
import { setAsideTwin } from "../../../../acts/evidence/remove-document";
import { remindSignature } from "../../../../acts/evidence/signatures";
import { takeBackLine } from "../../../../acts/form/take-back-line";
import { sendAgain } from "../../../../acts/mail/messages";
import { correctAddress, settleReturned } from "../../../../acts/people/correct-address";
import { joinAccounts, partAccounts } from "../../../../acts/people/join-accounts";
import { judgeSamePerson } from "../../../../acts/people/same-person";
import { inspectPaper, matchPaper, notePaper, sendPaperBack, takePaperBack } from "../../../../acts/post/papers";
import {
  correctReferee,
  endReference,
  extendReference,
  sendReferenceAgain,
} from "../../../../acts/references/chase-reference";
import { askRegistry, leaveRegistryResults, takeRegistryResults } from "../../../../acts/results/registry";
import { moveToRulebook } from "../../../../acts/rulebook/rulebooks";
import { endCaseRuling, ruleOnCase } from "../../../../acts/rulings/rulings";
import { judgeLikeness } from "../../../../acts/statements/likeness";
import type { FILE_ACT_INPUTS, FileActName } from "../../../../core/file-acts/file-acts";

/** The acts that the page of a file does, by their names: no other can be called from it. */
export const FILE_ACTS: { readonly [Name in FileActName]: Act<(typeof FILE_ACT_INPUTS)[Name], unknown> } = {
  "accept-evidence": acceptEvidence,
  "add-task": addTask,
  "ask-applicant": askApplicant,
  "ask-contact": askContact,
  "ask-registry": askRegistry,
  "confirm-values": confirmValues,
  "do-deed": doDeed,
  "drop-decision": dropDecision,
  "drop-task": dropTask,
  "end-adjustment": endAdjustment,
  "end-case-ruling": endCaseRuling,
  "end-override": endOverride,
  "end-reopening": endReopening,
  "excuse-requirement": excuseRequirement,
  "extend-choice": extendChoice,
  "correct-referee": correctReferee,
  "extend-reference": extendReference,
  "end-reference": endReference,
  "send-reference-again": sendReferenceAgain,
  "file-pages": filePages,
  "put-together": putTogether,
  "finish-task": finishTask,
  "grant-adjustment": grantAdjustment,
  "judge-likeness": judgeLikeness,
  "judge-same-person": judgeSamePerson,
  "join-accounts": joinAccounts,
  "part-accounts": partAccounts,
  "leave-out-page": leaveOutPage,
  "move-choice": moveChoice,
  "move-programme": moveProgramme,
  "move-to-rulebook": moveToRulebook,
  "note-contact": noteContact,
  "note-keeper": noteKeeper,
  "note-link": noteLink,
  "override-finding": overrideFinding,
  "prepare-decision": prepareDecision,
  "read-corrections": readCorrections,
  "refuse-correction": refuseCorrection,
  "release-decision": releaseDecision,
  "remind-signature": remindSignature,
  "reopen-sections": reopenSections,
  "return-evidence": returnEvidence,
  "rule-on-case": ruleOnCase,
  "send-again": sendAgain,
  "set-aside-twin": setAsideTwin,
  "settle-ask": settleAsk,
  "extend-ask": extendAsk,
  "inspect-paper": inspectPaper,
  "match-paper": matchPaper,
  "note-paper": notePaper,
  "send-paper-back": sendPaperBack,
  "take-paper-back": takePaperBack,
  "read-answer": readAnswer,
  "send-ask-list": sendAskList,
  "take-apart": takeApart,
  "take-asks-back": takeAsksBack,
  "suggest-move": suggestMove,
  "take-back-line": takeBackLine,
  "hand-file": handFile,
  "remind-applicant": remindApplicant,
  "add-note": addNote,
  "drop-note": dropNote,
  "mark-file": markFile,
  "unmark-file": unmarkFile,
  "settle-messages": settleMessages,
  "settle-returned": settleReturned,
  "correct-address": correctAddress,
  "file-attachment": fileAttachment,
  "take-message-back": takeMessageBack,
  "write-to-applicant": writeToApplicant,
  "take-file": takeFile,
  "leave-registry-results": leaveRegistryResults,
  "take-registry-results": takeRegistryResults,
  "undo-deed": undoDeed,
  "undo-judgement": undoJudgement,
  "write-summary": writeSummary,
};
