import * as accounts from "./accounts";
import * as reference from "./answer-reference";
import { askApplicant, settleAsk } from "./asks";
import { arrangeChoices, changeChoice, moveChoice } from "./change-choices";
import { confirmValues } from "./confirm-values";
import { eraseCopies, orderCopies, reportCopy } from "./copies";
import { copyCycle } from "./copy-cycle";
import { refuseCorrection, requestCorrection } from "./correction-requests";
import * as decisions from "./decisions";
import { doDeed, undoDeed } from "./deeds";
import { answerSearch, noteEmptySearch } from "./empty-searches";
import { eraseDrafts } from "./erase-drafts";
import { leaveOutPage, writeDigest } from "./for-assessors";
import * as institutions from "./institutions";
import { announceOpenings, forgetInterest, noteInterest } from "./interest";
import * as evidence from "./judge-evidence";
import * as files from "./keep-files";
import { compareStatements, judgeLikeness } from "./likeness";
import * as messages from "./messages";
import { moveProgramme, suggestMove } from "./move-programme";
import { noteKeeper } from "./note-keeper";
import { keepLinkCopy, noteLink } from "./note-link";
import * as overriding from "./override-finding";
import { matchResults, settleOwnerResult, takeOwnerList } from "./owner-lists";
import * as payments from "./payments";
import { askPreview, askReferencePreview, reportPreview } from "./previews";
import * as programmes from "./programmes";
import { askReach, confirmReach, noteReach } from "./reach";
import { passOverFiles, reassessFiles, setFileAside, tryFileAgain } from "./reassess";
import * as referenceSet from "./reference-set";
import * as registry from "./registry";
import { remindDrafts, tellMissing } from "./remind-drafts";
import { remindOpenings } from "./remind-openings";
import { removeDocument, setAsideTwin } from "./remove-document";
import * as reopening from "./reopen-sections";
import * as requests from "./request-reference";
import * as rounds from "./rounds";
import * as rulebooks from "./rulebooks";
import * as rulings from "./rulings";
import { judgeSamePerson } from "./same-person";
import { saveAnswers } from "./save-answers";
import { dropPart, savePart, shareElement } from "./shared-parts";
import * as signatures from "./signatures";
import { startApplication } from "./start-application";
import { submitApplication } from "./submit-application";
import { takeBackLine } from "./take-back-line";
import { storeTemplate } from "./templates";
import { giveUndertaking } from "./undertaking";
import { supplyForApplicant, uploadDocument } from "./upload-document";

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
  declineReference: reference.declineReference,
  dropDecision: decisions.dropDecision,
  excuseRequirement: files.excuseRequirement,
  overrideFinding: overriding.overrideFinding,
  endOverride: overriding.endOverride,
  extendChoice: rounds.extendChoice,
  countGuess: accounts.countGuess,
  forgetGuess: accounts.forgetGuess,
  removeOldGuesses: accounts.removeOldGuesses,
  giveReference: reference.giveReference,
  askRegistry: registry.askRegistry,
  claimRegistryQuery: registry.claimRegistryQuery,
  reportRegistry: registry.reportRegistry,
  takeRegistryResults: registry.takeRegistryResults,
  keepRegistryRecord: registry.keepRegistryRecord,
  setRegistryMode: registry.setRegistryMode,
  askEarlyRuling: rulings.askEarlyRuling,
  judgeSamePerson,
  matchResults,
  settleOwnerResult,
  takeOwnerList,
  leaveOutPage,
  writeDigest,
  compareStatements,
  judgeLikeness,
  linkInstitution: institutions.linkInstitution,
  mergeInstitutions: institutions.mergeInstitutions,
  saveInstitution: institutions.saveInstitution,
  takeRegister: institutions.takeRegister,
  unlinkInstitution: institutions.unlinkInstitution,
  keepTrayMail: messages.keepTrayMail,
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
  recordPayment: payments.recordPayment,
  releaseDecision: decisions.releaseDecision,
  releaseStuckMessages: messages.releaseStuckMessages,
  remindDrafts,
  remindOpenings,
  eraseDrafts,
  noteEmptySearch,
  orderCopies,
  reportCopy,
  eraseCopies,
  doDeed,
  undoDeed,
  noteKeeper,
  keepLinkCopy,
  noteLink,
  noteReach,
  askReach,
  confirmReach,
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
  saveAnswers,
  saveCycle: programmes.saveCycle,
  saveIntake: programmes.saveIntake,
  saveProcedure: programmes.saveProcedure,
  saveProgramme: programmes.saveProgramme,
  sendLink: accounts.sendLink,
  settleAsk,
  startApplication,
  startPayment: payments.startPayment,
  storeTemplate,
  submitApplication,
  takeFile: files.takeFile,
  tellAlreadyHasAccount: accounts.tellAlreadyHasAccount,
  tieAccount: accounts.tieAccount,
  undoJudgement: evidence.undoJudgement,
  uploadDocument,
  supplyForApplicant,
  withdraw: files.withdraw,
  withdrawReference: requests.withdrawReference,
} as const;
