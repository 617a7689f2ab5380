import { applyOffer } from "./apply";
import { awaited } from "./awaited";
import { copies, readyCopies } from "./copies";
import { document } from "./document";
import { drafts } from "./drafts";
import { elsewhere } from "./elsewhere";
import { figures } from "./figures";
import { file } from "./file";
import { finder } from "./finder";
import { formPreview } from "./form-preview";
import { institutionPage, institutionSuggestions, institutions, knownNames, registerTable } from "./institutions";
import { statementComparison, writerLikeness } from "./likeness";
import { linkCopy } from "./link-copy";
import { linkPurpose } from "./link-purpose";
import { fileMessages, myMessages, tray } from "./messages";
import { myApplication, officeCopy } from "./my-application";
import { myApplications } from "./my-applications";
import { nextCycle } from "./next-cycle";
import { otherScales } from "./other-scales";
import { ownerListLook, ownerLists } from "./owner-lists";
import { peek } from "./peek";
import { plans } from "./plans";
import { post, postTable } from "./post";
import { referencePage } from "./reference-page";
import { resultsFile } from "./results-file";
import { rulebookPage, rulebooks } from "./rulebooks";
import { rulings } from "./rulings";
import { selfCheck } from "./self-check";
import { sharedParts } from "./shared-parts";
import { signaturePage } from "./signature-page";
import { sites } from "./sites";
import { staff } from "./staff";
import { standards } from "./standards";
import { submissions } from "./submissions";
import { template } from "./template";
import { troubledFiles } from "./troubled-files";
import { turnContacts, turns } from "./turns";
import { whatIf } from "./what-if";

/** Every view there is: a test walks them with every role. */
export const VIEWS = {
  applyOffer,
  awaited,
  copies,
  readyCopies,
  linkCopy,
  post,
  postTable,
  signaturePage,
  sites,
  document,
  drafts,
  elsewhere,
  figures,
  file,
  fileMessages,
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
  officeCopy,
  nextCycle,
  otherScales,
  ownerListLook,
  ownerLists,
  peek,
  plans,
  referencePage,
  registerTable,
  resultsFile,
  rulebookPage,
  rulebooks,
  rulings,
  selfCheck,
  sharedParts,
  standards,
  staff,
  statementComparison,
  submissions,
  template,
  tray,
  troubledFiles,
  turnContacts,
  turns,
  whatIf,
  writerLikeness,
} as const;
