import { arrangeChoices, changeChoice, moveChoice } from "./application/change-choices";
import { eraseDrafts } from "./application/erase-drafts";
import { moveProgramme, suggestMove } from "./application/move-programme";
import { remindDrafts, tellMissing } from "./application/remind-drafts";
import * as reopening from "./application/reopen-sections";
import { refuseCorrection, requestCorrection } from "./application/request-correction";
import { startApplication } from "./application/start-application";
import { submitApplication } from "./application/submit-application";
import { giveUndertaking } from "./application/undertaking";
import { withdraw } from "./application/withdraw";
import { answerAsk, readAnswer } from "./asks/answers";
import { sendAskList, takeAsksBack } from "./asks/ask-list";
import { askApplicant, extendAsk, settleAsk } from "./asks/asks";
import { remindAsked } from "./asks/remind-asks";
import { endAdjustment, grantAdjustment } from "./assessment/adjustments";
import * as overriding from "./assessment/override-finding";
import { passOverFiles, reassessFiles, setFileAside, tryFileAgain } from "./assessment/reassess";
import { handFile, takeFile } from "./assessment/take-file";
import { addTask, dropTask, finishTask } from "./assessment/tasks";
import { copyCycle } from "./catalogue/copy-cycle";
import { answerSearch, noteEmptySearch } from "./catalogue/empty-searches";
import { announceOpenings, forgetInterest, noteInterest } from "./catalogue/interest";
import * as programmes from "./catalogue/programmes";
import { remindOpenings } from "./catalogue/remind-openings";
import * as rounds from "./catalogue/rounds";
import * as checks from "./checks/checks";
import { askContact, confirmContact, noteContact } from "./contact/contact-notes";
import * as attachments from "./conversation/attachments";
import * as conversation from "./conversation/conversation";
import * as incoming from "./conversation/incoming";
import * as texts from "./conversation/texts";
import { eraseCopies, orderCopies, orderOwnCopy, reportCopy } from "./copies/copies";
import { leaveOutPage, writeSummary } from "./copies/section-summary";
import * as decisions from "./decision/decisions";
import { confirmValues } from "./evidence/confirm-values";
import { doDeed, undoDeed } from "./evidence/deeds";
import { excuseRequirement } from "./evidence/excuse-requirement";
import { fileAttachment } from "./evidence/file-attachment";
import { filePages, putTogether } from "./evidence/file-pages";
import { joinPages, takeApart } from "./evidence/join-pages";
import * as evidence from "./evidence/judge-evidence";
import { noteKeeper } from "./evidence/note-keeper";
import { keepLinkCopy, noteLink } from "./evidence/note-link";
import { remindApplicant } from "./evidence/remind-applicant";
import { removeDocument, setAsideTwin } from "./evidence/remove-document";
import { saveReason } from "./evidence/return-reasons";
import { beginSending, dropSending, sendPart } from "./evidence/sendings";
import * as signatures from "./evidence/signatures";
import { supplyForApplicant, uploadDocument } from "./evidence/upload-document";
import { saveAnswers } from "./form/save-answers";
import { takeBackLine } from "./form/take-back-line";
import * as messages from "./mail/messages";
import * as trayAnswers from "./mail/tray-answers";
import { saveWording } from "./mail/wordings";
import * as notes from "./notes/notes";
import * as payments from "./payments/payments";
import { noteReading, noteSignIn } from "./people/access";
import * as accounts from "./people/accounts";
import { clearAway } from "./people/clear-away";
import * as returned from "./people/correct-address";
import * as erasure from "./people/erasure";
import { joinAccounts, partAccounts } from "./people/join-accounts";
import { notePasskey } from "./people/passkeys";
import { judgeSamePerson } from "./people/same-person";
import * as factor from "./people/second-factor";
import {
  announcePaper,
  dropAnnouncement,
  inspectPaper,
  matchPaper,
  notePaper,
  noteStrayPaper,
  sendPaperBack,
  takePaperBack,
} from "./post/papers";
import * as reference from "./references/answer-reference";
import * as chasing from "./references/chase-reference";
import * as requests from "./references/request-reference";
import { matchResults, settleOwnerResult, takeOwnerList } from "./results/owner-lists";
import * as registry from "./results/registry";
import { askRegistriesAgain } from "./results/registry-again";
import { askPreview, askReferencePreview, reportPreview } from "./rulebook/previews";
import * as rulebooks from "./rulebook/rulebooks";
import { dropPart, savePart, shareElement } from "./rulebook/shared-parts";
import { storeTemplate } from "./rulebook/templates";
import * as rulings from "./rulings/rulings";
import * as institutions from "./standards/institutions";
import * as referenceSet from "./standards/reference-set";
import { compareStatements, judgeLikeness } from "./statements/likeness";
import { assignArrived, assignFile, dropAbsence, noteAbsence, saveAssigning } from "./turns/assigning";
import { noteLook, takeLookBack } from "./turns/last-look";
import { dropList, keepList } from "./turns/named-lists";

/** Every act there is: a test walks them with every role. */
export const ACTS = {
  acceptEvidence: evidence.acceptEvidence,
  acceptLink: accounts.acceptLink,
  addRound: rounds.addRound,
  arrangeChoices,
  giveUndertaking,
  changeChoice,
  moveChoice,
  announceOpenings,
  forgetInterest,
  noteInterest,
  answerDecision: decisions.answerDecision,
  askApplicant,
  beginGuess: accounts.beginGuess,
  changeRole: accounts.changeRole,
  changeRound: rounds.changeRound,
  chooseLanguage: accounts.chooseLanguage,
  claimMessage: messages.claimMessage,
  closeRound: rounds.closeRound,
  confirmValues,
  takeBackLine,
  tellMissing,
  copyCycle,
  askMoreTime: reference.askMoreTime,
  saveReference: reference.saveReference,
  askReferenceAgain: chasing.askReferenceAgain,
  correctReferee: chasing.correctReferee,
  endReference: chasing.endReference,
  extendReference: chasing.extendReference,
  remindReferee: chasing.remindReferee,
  sendReferenceAgain: chasing.sendReferenceAgain,
  takeReference: chasing.takeReference,
  declineReference: reference.declineReference,
  dropDecision: decisions.dropDecision,
  excuseRequirement,
  overrideFinding: overriding.overrideFinding,
  endOverride: overriding.endOverride,
  extendChoice: rounds.extendChoice,
  countGuess: accounts.countGuess,
  forgetGuess: accounts.forgetGuess,
  clearAway,
  answerErasure: erasure.answerErasure,
  askErasure: erasure.askErasure,
  keepMe: erasure.keepMe,
  letBackIn: factor.letBackIn,
  noteReading,
  noteSignIn,
  notePasskey,
  spendCode: factor.spendCode,
  giveReference: reference.giveReference,
  askRegistry: registry.askRegistry,
  claimRegistryQuery: registry.claimRegistryQuery,
  reportRegistry: registry.reportRegistry,
  leaveRegistryResults: registry.leaveRegistryResults,
  takeRegistryResults: registry.takeRegistryResults,
  askRegistriesAgain,
  keepRegistryRecord: registry.keepRegistryRecord,
  setRegistryMode: registry.setRegistryMode,
  askEarlyRuling: rulings.askEarlyRuling,
  judgeSamePerson,
  joinAccounts,
  partAccounts,
  matchResults,
  settleOwnerResult,
  takeOwnerList,
  leaveOutPage,
  writeSummary,
  compareStatements,
  judgeLikeness,
  linkInstitution: institutions.linkInstitution,
  mergeInstitutions: institutions.mergeInstitutions,
  saveInstitution: institutions.saveInstitution,
  takeRegister: institutions.takeRegister,
  unlinkInstitution: institutions.unlinkInstitution,
  keepTrayMail: messages.keepTrayMail,
  saveWording,
  saveReason,
  keepTrayAnswer: trayAnswers.keepTrayAnswer,
  noteTrayFetched: trayAnswers.noteTrayFetched,
  receiveMail: incoming.receiveMail,
  placeMail: incoming.placeMail,
  putMailAway: incoming.putMailAway,
  settleReturned: returned.settleReturned,
  correctAddress: returned.correctAddress,
  holdAttachment: attachments.holdAttachment,
  dropHeld: attachments.dropHeld,
  fileAttachment,
  askReferencePreview,
  draftReferenceSet: referenceSet.draftReferenceSet,
  dropReferenceDraft: referenceSet.dropReferenceDraft,
  editReferenceSet: referenceSet.editReferenceSet,
  loadReferenceSet: referenceSet.loadReferenceSet,
  publishReferenceSet: referenceSet.publishReferenceSet,
  makeStaff: accounts.makeStaff,
  openAccount: accounts.openAccount,
  openReference: reference.openReference,
  prepareDecision: decisions.prepareDecision,
  askPreview,
  reportPreview,
  draftRulebook: rulebooks.draftRulebook,
  savePart,
  shareElement,
  dropPart,
  dropRulebook: rulebooks.dropRulebook,
  editRulebook: rulebooks.editRulebook,
  moveProgramme,
  suggestMove,
  moveToRulebook: rulebooks.moveToRulebook,
  publishDraft: rulebooks.publishDraft,
  publishRulebook: rulebooks.publishRulebook,
  passOverFiles,
  reassessFiles,
  setFileAside,
  tryFileAgain,
  giveBack: payments.giveBack,
  recordPayment: payments.recordPayment,
  releaseDecision: decisions.releaseDecision,
  tryMailAgain: messages.tryMailAgain,
  releaseStuckMessages: messages.releaseStuckMessages,
  remindApplicant,
  remindDrafts,
  remindOpenings,
  eraseDrafts,
  noteEmptySearch,
  orderCopies,
  orderOwnCopy,
  reportCopy,
  eraseCopies,
  grantAdjustment,
  endAdjustment,
  addTask,
  finishTask,
  dropTask,
  doDeed,
  undoDeed,
  noteKeeper,
  keepLinkCopy,
  noteLink,
  noteContact,
  askContact,
  confirmContact,
  answerSearch,
  removeDocument,
  setAsideTwin,
  reopenRound: rounds.reopenRound,
  reportMessage: messages.reportMessage,
  sendAgain: messages.sendAgain,
  requestSignature: signatures.requestSignature,
  remindSignature: signatures.remindSignature,
  signByLink: signatures.signByLink,
  declineSignature: signatures.declineSignature,
  dropList,
  requestReference: requests.requestReference,
  refuseCorrection,
  requestCorrection,
  reopenSections: reopening.reopenSections,
  sendCorrections: reopening.sendCorrections,
  readCorrections: reopening.readCorrections,
  endReopening: reopening.endReopening,
  returnEvidence: evidence.returnEvidence,
  ruleOnCase: rulings.ruleOnCase,
  endCaseRuling: rulings.endCaseRuling,
  endRuling: rulings.endRuling,
  handFile,
  noteLook,
  takeLookBack,
  assignArrived,
  assignFile,
  saveAssigning,
  noteAbsence,
  dropAbsence,
  keepList,
  saveAnswers,
  saveCycle: programmes.saveCycle,
  saveIntake: programmes.saveIntake,
  saveProcedure: programmes.saveProcedure,
  saveProgramme: programmes.saveProgramme,
  sendLink: accounts.sendLink,
  settleAsk,
  answerAsk,
  announcePaper,
  dropAnnouncement,
  notePaper,
  noteStrayPaper,
  matchPaper,
  takePaperBack,
  inspectPaper,
  sendPaperBack,
  filePages,
  beginSending,
  dropSending,
  sendPart,
  joinPages,
  takeApart,
  putTogether,
  extendAsk,
  readAnswer,
  remindAsked,
  sendAskList,
  takeAsksBack,
  startApplication,
  startPayment: payments.startPayment,
  storeTemplate,
  submitApplication,
  readConversation: conversation.readConversation,
  settleMessages: conversation.settleMessages,
  takeMessageBack: conversation.takeMessageBack,
  writeToApplicant: conversation.writeToApplicant,
  writeToOffice: conversation.writeToOffice,
  dropText: texts.dropText,
  saveText: texts.saveText,
  leaveChecks: checks.leaveChecks,
  leaveForLater: checks.leaveForLater,
  takeUpLater: checks.takeUpLater,
  nextCheck: checks.nextCheck,
  addNote: notes.addNote,
  dropNote: notes.dropNote,
  lookIn: notes.lookIn,
  markFile: notes.markFile,
  unmarkFile: notes.unmarkFile,
  takeFile,
  tieAccount: accounts.tieAccount,
  undoJudgement: evidence.undoJudgement,
  uploadDocument,
  supplyForApplicant,
  withdraw,
  withdrawReference: requests.withdrawReference,
} as const;
