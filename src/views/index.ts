import { applyOffer } from "./application/apply-offer";
import { closedToMe } from "./application/closed-to-me";
import { drafts } from "./application/drafts";
import { myApplication } from "./application/my-application";
import { myApplications } from "./application/my-applications";
import { nextCycle } from "./application/next-cycle";
import { submissions } from "./application/submissions";
import { awaited } from "./assessment/awaited";
import { confided } from "./assessment/confided";
import { elsewhere } from "./assessment/elsewhere";
import { file } from "./assessment/file";
import { peek } from "./assessment/peek";
import { troubledFiles } from "./assessment/troubled-files";
import { whatIf } from "./assessment/what-if";
import { askedFor } from "./catalogue/asked-for";
import { finder } from "./catalogue/finder";
import { plans } from "./catalogue/plans";
import { sites } from "./catalogue/sites";
import { checkKinds, checkRunOf } from "./checks/checks";
import { post, postTable } from "./contact/post";
import { recurringQuestions } from "./contact/recurring-questions";
import { fileConversation, myConversation, officeTexts } from "./conversation/conversation";
import { copies, copiesOfFile, readyCopies } from "./copies/copies";
import { document } from "./evidence/document";
import { joinSources } from "./evidence/join-sources";
import { linkCopy } from "./evidence/link-copy";
import { returnReasons } from "./evidence/return-reasons";
import { sending } from "./evidence/sending";
import { signaturePage } from "./evidence/signature-page";
import { uploadPlace } from "./evidence/upload-place";
import { clocks, decisionTimes } from "./figures/clocks";
import { figures } from "./figures/figures";
import { formPreview } from "./form/form-preview";
import { selfCheck } from "./form/self-check";
import { fileAt, incomingDocument, mailIn } from "./mail/incoming";
import { linkPurpose } from "./mail/link-purpose";
import { fileMessages, myMessages, tray } from "./mail/messages";
import { waitingMail } from "./mail/waiting-mail";
import { mailWording, mailWordings } from "./mail/wordings";
import { fileNotes } from "./notes/notes";
import { money } from "./payments/money";
import { access, accessTable } from "./people/access";
import { erasures, ownErasure } from "./people/erasures";
import { joinedInto } from "./people/joined-into";
import { ownData } from "./people/own-data";
import { staff } from "./people/staff";
import { paperFile, papers } from "./post/papers";
import { referencePage } from "./references/reference-page";
import { references } from "./references/references";
import { ownerListLook, ownerLists } from "./results/owner-lists";
import { resultsFile } from "./results/results-file";
import { rulebookPage, rulebooks } from "./rulebook/rulebooks";
import { sharedParts } from "./rulebook/shared-parts";
import { template } from "./rulebook/template";
import { rulings } from "./rulings/rulings";
import {
  institutionPage,
  institutionSuggestions,
  institutions,
  knownNames,
  registerTable,
} from "./standards/institutions";
import { otherScales } from "./standards/other-scales";
import { scalesInUse } from "./standards/scales-in-use";
import { standards } from "./standards/standards";
import { statementComparison, writerLikeness } from "./statements/likeness";
import { assigningPage } from "./turns/assigning";
import { turnContacts } from "./turns/contacts";
import { turnFacets } from "./turns/facets";
import { manyChoices } from "./turns/many-choices";
import { namedLists } from "./turns/named-lists";
import { pageCounts } from "./turns/page-counts";
import { quickFind } from "./turns/quick-find";
import { turns } from "./turns/turns";

/** Every view there is: a test walks them with every role. */
export const VIEWS = {
  applyOffer,
  askedFor,
  awaited,
  copies,
  copiesOfFile,
  readyCopies,
  linkCopy,
  recurringQuestions,
  post,
  postTable,
  paperFile,
  papers,
  signaturePage,
  sites,
  document,
  drafts,
  elsewhere,
  clocks,
  decisionTimes,
  figures,
  file,
  fileMessages,
  fileAt,
  incomingDocument,
  mailIn,
  returnReasons,
  mailWording,
  mailWordings,
  finder,
  formPreview,
  institutionPage,
  institutions,
  institutionSuggestions,
  knownNames,
  linkPurpose,
  myApplication,
  myApplications,
  myMessages,
  nextCycle,
  otherScales,
  ownerListLook,
  ownerLists,
  peek,
  plans,
  references,
  referencePage,
  registerTable,
  resultsFile,
  waitingMail,
  joinSources,
  sending,
  uploadPlace,
  scalesInUse,
  closedToMe,
  rulebookPage,
  rulebooks,
  rulings,
  selfCheck,
  sharedParts,
  standards,
  access,
  accessTable,
  erasures,
  ownData,
  joinedInto,
  money,
  confided,
  checkKinds,
  checkRunOf,
  fileConversation,
  fileNotes,
  manyChoices,
  myConversation,
  officeTexts,
  assigningPage,
  namedLists,
  quickFind,
  pageCounts,
  ownErasure,
  staff,
  statementComparison,
  submissions,
  template,
  tray,
  troubledFiles,
  turnContacts,
  turnFacets,
  turns,
  whatIf,
  writerLikeness,
} as const;
