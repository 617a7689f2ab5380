/** Mails and messages, in English. */
export const mail = {
  "mail.round-changed.subject": "No. {number}: a date has changed",
  "mail.round-changed.body": "The round of {programme} was changed. Reason: {text}\n\nYour dates stand here:\n\n{link}",
  "mail.round-closed.subject": "No. {number}: the round was closed early",
  "mail.round-closed.body":
    "The round of {programme} was closed before its date. Reason: {text}\n\nYour application is kept. See what you can do now:\n\n{link}",
  "mail.round-full.subject": "No. {number}: all places are taken",
  "mail.round-full.body":
    "The last place of {programme} is taken, and the round has closed. Your application is kept. You can choose another programme:\n\n{link}",
  "mail.round-reopened.subject": "No. {number}: the round is open again",
  "mail.round-reopened.body": "The round of {programme} is open again. Reason: {text}\n\nGo on here:\n\n{link}",
  "mail.address-corrected.subject": "Your account has another address now",
  "mail.address-corrected.body":
    "The admissions office has put another address in the place of this one, for the account of application No. {number}. You sign in with the new address from now on.\n\nIf you did not ask for it, call or write to the office at once.",
  "mail.extended.subject": "No. {number}: you have more time",
  "mail.extended.body": "You have until {moment} for {programme}. Reason: {text}\n\nGo on here:\n\n{link}",
  "mail.rulebook-changed.subject": "No. {number}: what {programme} asks for has changed",
  "mail.rulebook-changed.body":
    "Your application follows the new version. What was added (+), taken out (−) or changed (·):\n\n{changes}\n\nWhat you typed is kept. See what it means for you:\n\n{link}",
  "mail.adjustment-granted.subject": "No. {number}: an adjustment for you",
  "mail.adjustment-granted.body":
    "For your application we have granted this:\n\n{text}\n\nIt stands in your application:\n\n{link}",
  "mail.choice-moved.subject": "No. {number}: your choice of {programme} was changed",
  "mail.choice-moved.body":
    "The admissions office changed what you chose with {programme}.\n\nWhy: {text}\n\nYour application says what it is now, and whether anything is asked of you:\n\n{link}",
  "mail.programme-moved.subject": "No. {number}: your application is now for {programme}",
  "mail.programme-moved.body":
    "The admissions office has put your choice of {from} on another programme: {programme}. Everything that you sent stays with it.\n\nWhy: {text}\n\nYour application says whether anything more is asked of you. If this is not what you want, answer there:\n\n{link}",
  "mail.move-suggested.subject": "No. {number}: {programme} may suit you",
  "mail.move-suggested.body":
    "You applied for {from}. We think that {programme} may suit you better, or as well.\n\nWhy: {text}\n\nNothing has changed. If you want it, open “Something to correct?” in your application and say so:\n\n{link}",
  "mail.rulebook-moved.subject": "No. {number}: your application follows newer rules",
  "mail.rulebook-moved.body":
    "The office has moved your application for {programme} to the newer version of its rules. Reason: {text}\n\nWhat was added (+), taken out (−) or changed (·):\n\n{changes}\n\n{link}",
  "mail.case-accepted.subject": "No. {number}: it counts",
  "mail.case-accepted.body":
    "You asked whether this counts: {title}.\n\nIt does. What you stated still has to be proved, as your list of documents says. If you change it, the answer no longer holds.\n\n{link}",
  "mail.case-refused.subject": "No. {number}: it does not count",
  "mail.case-refused.body":
    "You asked whether this counts: {title}.\n\nIt does not. Your application is open as before: please look for another way to meet the requirement.\n\n{link}",
  "mail.contact-asked.subject": "No. {number}: is this still right?",
  "mail.contact-asked.body":
    "Before we send or call: please look whether what you gave is still right ({what}). One press says so:\n\n{link}",
  "mail.contact-failed.subject": "No. {number}: we could not reach you",
  "mail.contact-failed.body":
    "What we sent did not arrive, or the number did not work ({what}). Please look at it, and say whether it is right or has changed:\n\n{link}",
  "mail.interest-noted.subject": "{programme}: we tell you when it opens",
  "mail.interest-noted.body":
    "You asked us to tell you when {programme} opens. We write once, and then forget your address.\n\nIf this was not you, or you have changed your mind, take your address out:\n\n{link}",
  "mail.interest-opened.subject": "{programme} is open",
  "mail.interest-opened.body":
    "You asked to be told: {programme} takes applications now. {count, plural, =0 {} other {\n\nHave this ready; the page says of each when and for whom it is needed:\n\n{list}\n\n}}Your address is forgotten with this mail.\n\n{link}",
  "mail.draft-closes.subject": "No. {number} closes soon",
  "mail.draft-closes.body":
    "Your application can be submitted until {moment}. {missing, plural, =0 {Nothing is missing; only the submission is.} one {One part is not complete yet.} other {# parts are not complete yet.}}\n\nGo on here:\n\n{link}",
  "mail.written.subject": "No. {number}: a message from the office",
  "mail.written.body":
    "{text}\n\n{files, plural, =0 {} one {A document goes with it; you find it with the message.\n\n} other {# documents go with it; you find them with the message.\n\n}}Answer here:\n\n{link}",
  "mail.reminded.subject": "No. {number}: this waits for you",
  "mail.reminded.body":
    "This still waits for you in your application:\n\n{list}\n\n{said, plural, =0 {} other {Our office adds:\n\n{words}\n\n}}Go on here:\n\n{link}",
  "mail.draft-missing.subject":
    "No. {number}: {count, plural, =0 {only the submission is missing} other {what is still missing}}",
  "mail.draft-missing.body":
    "{count, plural, =0 {Nothing is missing in your application any more, but it has not been submitted.} other {Your application is not submitted yet. Still missing, with the number of open fields:\n\n{list}}}\n\n{said, plural, =0 {} other {Our office adds:\n\n{words}\n\n}}It can be submitted until {moment}. Go on here:\n\n{link}",
  "mail.group-changed.subject": "Application {number}: another applicant group",
  "mail.group-changed.body":
    "By what stands on your papers, or what you corrected, you are in the {group} and no longer in the {before}. Fees and deadlines follow the group. What is due or comes back to you now stands in your application:\n\n{link}",
  "mail.draft-erased-soon.subject": "No. {number} will be erased",
  "mail.draft-erased-soon.body":
    "Your application was never submitted, and its round is over. We keep such drafts for {days} days and then erase what was written and sent with them: on {moment} at the earliest.\n\nUntil then you can read it, and save it as PDF:\n\n{link}\n\nYour account stays. If you want to apply again, choose a programme as before.",
  "mail.round-opens-soon.subject": "{programme} opens on {moment}",
  "mail.round-opens-soon.body":
    "{gaps, plural, =0 {Everything that we look at is there.} one {One thing is still missing in what is planned.} other {# things are still missing in what is planned.}}\n\nLook at the programme, its rounds and what visitors see before it opens:\n\n{link}",
  "mail.round-opened.subject": "No. {number}: you can submit now",
  "mail.round-opened.body":
    "The round of {programme} has opened. As soon as nothing is missing you can submit:\n\n{link}",
  "mail.reopened.subject": "No. {number}: please correct your application",
  "mail.reopened.body":
    "We opened these parts of your application again: {sections}.\n\n{text}\n\nPlease correct them and send them by {due}:\n\n{link}",
  "mail.correction-refused.subject": "No. {number}: about the correction that you asked for",
  "mail.correction-refused.body":
    "We did not open your application for the correction that you asked for.\n\n{text}\n\n{link}",
  "mail.corrected.subject": "No. {number}: we have your corrections",
  "mail.corrected.body": "Your corrected answers arrived. They are submission {no} of your application:\n\n{link}",
  "mail.reopening-ended.subject": "No. {number}: nothing needs to be corrected any more",
  "mail.reopening-ended.body":
    "We closed the opened parts of your application again. It stands as you submitted it:\n\n{link}",
  "mail.signature-asked.subject": "Please sign for {applicant}: {document}",
  "mail.signature-asked.body":
    "{applicant} applies to us and names you. Something is to be signed by you: {document}.\n\nFollow this link, read it, and sign with your name. No account is needed. It works until {until}:\n\n{link}\n\nIf you do not know {applicant}, say so there or do nothing.",
  "mail.signature-given.subject": "{signer} has signed: {document}",
  "mail.signature-given.body": "{document} was signed by {signer}. You need to do nothing more about it.",
  "mail.signature-declined.subject": "{signer} did not sign: {document}",
  "mail.signature-declined.body":
    "{signer} said not to sign {document}. Talk to them, name somebody else in the form, or upload it signed on paper.",
  "messages.title": "Messages",
  "messages.none": "We have not written to you yet.",
  "messages.linkGone": "(The link was in the mail itself.)",
  "messages.queued": "on its way",
  "mail.greeting": "Dear {name},",
  "mail.closing": "The admissions office, Merrow Institute of Coast and Water",
  "mail.confirm-address.subject": "Confirm your address",
  "mail.confirm-address.body":
    "Somebody opened an account with this address. If it was you, follow this link and press the button. It works once, for a day:\n\n{link}\n\nIf it was not you, do nothing.",
  "mail.already-has-account.subject": "You have an account already",
  "mail.already-has-account.body":
    "Somebody tried to open an account with this address. It has one already. If you lost your password, set a new one here:\n\n{link}\n\nIf it was not you, do nothing.",
  "mail.set-password.subject": "Set a new password",
  "mail.set-password.body":
    "Follow this link to set a new password. It works once, for an hour:\n\n{link}\n\nIf you did not ask for it, do nothing.",
  "mail.staff-invited.subject": "Your account in the admissions office",
  "mail.staff-invited.body":
    "An account was made for you. Follow this link to set your password. It works once, for three days:\n\n{link}",
  "mail.staff-let-in.subject": "Your way back into the admissions office",
  "mail.staff-let-in.body":
    "An administrator has ended your second factor, your password and all sessions, so that you can come in again. Follow this link to set a new password; it works once, for three days. Then set up your second factor anew:\n\n{link}\n\nIf you did not ask for it, tell your administrator.",
  "mail.passkey-added.subject": "A passkey was added to your account",
  "mail.passkey-added.body":
    "A passkey named {key} was added to your account: it signs you in without your password. You see all of them, and can remove each, in your account:\n\n{link}\n\nIf it was not you, remove it there, set a new password and sign out everywhere.",
  "mail.accounts-joined.subject": "Your applications are together now",
  "mail.accounts-joined.body":
    "You have written to us from two accounts. The admissions office has brought their applications together: {numbers} came to this account, and nothing else about them has changed. You find all of them here:\n\n{link}\n\nIf the other account is not yours, tell the admissions office at once.",
  "mail.account-given.subject": "Your applications are in your other account now",
  "mail.account-given.body":
    "You have written to us from two accounts. The admissions office has brought their applications together: {numbers} went from this account to the one of {to}, and nothing else about them has changed. Sign in there from now on:\n\n{link}\n\nIf that account is not yours, tell the admissions office at once.",
  "mail.accounts-parted.subject": "Applications went back to their account",
  "mail.accounts-parted.body":
    "The admissions office had brought the applications of two accounts together, and has taken that back: {numbers} went back to the account of {to}. Where you have no password there any more, set one by “I lost my password”:\n\n{link}",
  "mail.erased-whole.subject": "What was kept of you is erased",
  "mail.erased-whole.body":
    "As you asked, what you wrote and sent is erased ({gone}), and your account with it. This mail is the last one:\n\n{link}",
  "mail.erased-part.subject": "What was erased, and what stays",
  "mail.erased-part.body":
    "As you asked, what may go by the rules of the office is erased: {gone}. What stays: {stays}. Why, and until when, stands in your account:\n\n{link}",
  "mail.reference-asked.subject": "A reference for {applicant}",
  "mail.reference-asked.body":
    "{applicant} applies for {programme} and names you as referee. Follow this link to answer a short form or upload a letter. No account is needed. It works until {until}, for this request only:\n\n{link}",
  "mail.reference-reminder.subject": "Still open: a reference for {applicant}",
  "mail.reference-reminder.body":
    "{applicant} applies for {programme} and waits for your reference, wanted by {due}. Follow this link to write it, to go on with what you have begun, to ask for more time or to decline. It works until {until}:\n\n{link}",
  "mail.reference-extended.subject": "More time for the reference for {applicant}",
  "mail.reference-extended.body":
    "The reference for {applicant} is now wanted by {due}. This link leads to it:\n\n{link}",
  "mail.reference-silent.subject": "{referee} has not answered yet",
  "mail.reference-silent.body":
    "We have reminded {referee}, whom you named as referee. The reference is wanted by {due}. Ask them yourself, or name another referee:\n\n{link}",
  "mail.reference-ended.subject": "The request for a reference has ended",
  "mail.reference-ended.body": "The reference for {applicant} is not needed any more. You need to do nothing.",
  "mail.referee-wanted.subject": "Please name another referee",
  "mail.referee-wanted.body":
    "The request to {referee} has ended: {text}\n\nPlease name another referee here:\n\n{link}",
  "mail.referee-not-reached.subject": "The request did not reach your referee",
  "mail.referee-not-reached.body":
    "Whoever reads {email} is not {referee}. Please correct the address in your application and send the request again.",
  "mail.reference-withdrawn.subject": "The request for a reference was withdrawn",
  "mail.reference-withdrawn.body": "{applicant} has withdrawn the request. You need to do nothing.",
  "mail.reference-given.subject": "Your referee has answered",
  "mail.reference-given.body": "{referee} gave the reference.",
  "mail.reference-declined.subject": "Your referee cannot give a reference",
  "mail.reference-declined.body":
    "{referee} told us that they cannot give a reference. Please name another referee in your application.",
  "mail.submitted.subject": "We have your application No. {number}",
  "mail.submitted.body":
    "Your application No. {number} for {programmes} has arrived. We write when we need something, and when we have decided.",
  "mail.evidence-returned.subject": "No. {number}: please send again: {document}",
  "mail.evidence-returned.body":
    "We cannot accept this document: {document}. {reasonText} {text}\n\nPlease supply it again by {due}:\n\n{link}",
  "mail.asked.subject": "No. {number}: we ask you for something",
  "mail.asked.body": "{document}: {text}\n\nPlease answer by {due}:\n\n{link}",
  "mail.asked-list.subject": "No. {number}: we ask you for something",
  "mail.asked-list.body":
    "{said, plural, =0 {} other {{words}\n\n}}We ask you for:\n\n{list}\n\nPlease answer by {due}, one by one, here:\n\n{link}",
  "mail.supplied-for-you.subject": "No. {number}: we put a document in for you: {document}",
  "mail.supplied-for-you.body":
    "What reached us by post or by mail stands in your application now: {document}. If it is not yours, or another one is meant, write to us.\n\n{link}",
  "mail.paper-arrived.subject": "No. {number}: your paper has arrived",
  "mail.paper-arrived.body":
    "{document} reached us on {due}. We look at it and write when something is wrong with it.\n\n{link}",
  "mail.paper-sent-back.subject": "No. {number}: your paper is on its way back",
  "mail.paper-sent-back.body":
    "{document} goes back to you by post today, to the address in your application.\n\n{link}",
  "mail.ask-extended.subject": "No. {number}: you have more time",
  "mail.ask-extended.body": "You have until {due} for what we asked you for: {document}.\n\n{link}",
  "mail.ask-reminder.subject":
    "No. {number}: {late, plural, =0 {we still ask you for something} other {what we asked you for is overdue}}",
  "mail.ask-reminder.body":
    "We asked you for this and have not got it yet:\n\n{list}\n\n{late, plural, =0 {} other {Its day has passed. Send it still, or write to us what keeps you.\n\n}}Answer here:\n\n{link}",
  "mail.decision-released.subject": "No. {number}: we have decided",
  "mail.decision-released.body": "There is a decision on your application. Read it here:\n\n{link}",
  "mail.answer-received.subject": "No. {number}: your answer has arrived",
  "mail.answer-received.body": "You {answer, select, accepted {accepted} other {declined}} our offer.",
  "mail.withdrawn.subject": "No. {number}: withdrawn",
  "mail.withdrawn.body": "You have withdrawn your application No. {number}.",
} as const;
