import * as accounts from "./accounts";
import * as reference from "./answer-reference";
import * as catalogue from "./catalogue";
import { confirmValues } from "./confirm-values";
import * as decisions from "./decisions";
import * as evidence from "./judge-evidence";
import * as files from "./keep-files";
import * as messages from "./messages";
import * as payments from "./payments";
import { removeDocument } from "./remove-document";
import * as requests from "./request-reference";
import { saveAnswers } from "./save-answers";
import { startApplication } from "./start-application";
import { submitApplication } from "./submit-application";
import { uploadDocument } from "./upload-document";

/** Every act there is: a test walks them with every role. */
export const ACTS = {
  acceptEvidence: evidence.acceptEvidence,
  acceptLink: accounts.acceptLink,
  answerDecision: decisions.answerDecision,
  askApplicant: evidence.askApplicant,
  beginGuess: accounts.beginGuess,
  changeRole: accounts.changeRole,
  changeRound: catalogue.changeRound,
  chooseLanguage: accounts.chooseLanguage,
  claimMessage: messages.claimMessage,
  confirmValues,
  declineReference: reference.declineReference,
  dropDecision: decisions.dropDecision,
  excuseRequirement: files.excuseRequirement,
  forgetGuess: accounts.forgetGuess,
  giveReference: reference.giveReference,
  keepTrayMail: messages.keepTrayMail,
  loadReferenceSet: catalogue.loadReferenceSet,
  makeStaff: accounts.makeStaff,
  openAccount: accounts.openAccount,
  openReference: reference.openReference,
  planProgramme: catalogue.planProgramme,
  prepareDecision: decisions.prepareDecision,
  publishRulebook: catalogue.publishRulebook,
  reassessFiles: files.reassessFiles,
  recordPayment: payments.recordPayment,
  releaseDecision: decisions.releaseDecision,
  releaseStuckMessages: messages.releaseStuckMessages,
  removeDocument,
  reportMessage: messages.reportMessage,
  requestReference: requests.requestReference,
  returnEvidence: evidence.returnEvidence,
  saveAnswers,
  sendLink: accounts.sendLink,
  startApplication,
  startPayment: payments.startPayment,
  submitApplication,
  takeFile: files.takeFile,
  tellAlreadyHasAccount: accounts.tellAlreadyHasAccount,
  tieAccount: accounts.tieAccount,
  undoJudgement: evidence.undoJudgement,
  uploadDocument,
  withdraw: files.withdraw,
  withdrawReference: requests.withdrawReference,
} as const;
