/** Files of student results, in English. */
export const results = {
  "results.file": "Or choose a CSV file, or student results as an ELMO file (XML)",
  "results.from": "Results of {issuers}.",
  "results.lacks":
    "Such a file holds what these institutions had recorded when it was made. Add what still runs, what came later, earlier attempts that it leaves out, and what you took elsewhere.",
  "results.trusted": "Signed by {signer}, whom the office knows: nothing was changed since.",
  "results.sound":
    "Signed by {signer}: nothing was changed since. The office does not know this sender yet, so send the transcript, too.",
  "results.invalid":
    "The signature of this file does not hold: something was changed after it was signed. You can take the lines over, and the office will go by your transcript alone.",
  "results.unsigned": "The file is not signed. What you take over counts as typed by you; the transcript proves it.",
  "results.otherBirth": "The file is of somebody born on {born}. Your application gives another day.",
  "results.otherName": "The file names {name}. Look whether it is yours.",
  "results.no_status": "{about}: the file does not say whether it was passed. Choose its status.",
  "results.unknown_status": "{about} is no status we know. Choose one.",
  "results.no_credits": "{about}: the file has no credits for it. Enter them.",
  "results.no_result": "{about}: the file has no grade for it. Enter it if there is one.",
  "results.no_date": "{about}: the file does not say when the result came.",
  "results.scale_is_prose": "The file describes its grades in words only ({about}). Choose the scale with your degree.",
  "results.whole_degree": "{about} is a whole degree and no course. Take it over on the page of your degrees.",
  "results.degreeOpen": "Take a degree over from student results",
  "results.degreeFile": "Student results as an ELMO file (XML)",
  "results.noDegree": "This file names courses only. Enter the degree here, and take the courses over on their page.",
  "results.degreeTake": "Take it over",
  "results.degreeUndo": "Take it out again",
  "results.degreeDone": "Close the file",
  "results.degreeTaken": "Taken over. Look through it and add what the file does not say.",
  "results.twice": "{about} stands there twice and is taken over once.",
  "results.unknown_part": "A part called {about} is not known to us and is left out.",
  "results.attachment_unread": "A document called {about} is named in the file and does not stand in it.",
  "results.attachment_refused":
    "The document {about} inside the file cannot be taken: it is damaged, or not what it says it is. Upload it by itself.",
  "results.attachments": "Documents inside the file",
  "results.attachTo": "Supply it as",
  "results.attachNone": "not at all",
  "results.attach": "Supply it",
  "results.attached": "Supplied as {title}.",
  "results.too_large": "This file is too large. Results have at most 20 MB.",
  "results.not_xml":
    "This is no file of results that we can read. Ask for it again where you got it, or paste the courses.",
  "results.hostile":
    "This file declares parts that a file of results never needs, so we do not open it. Ask for it again where you got it.",
  "results.too_deep": "This file is built in a way that results never are, so we do not open it.",
  "results.too_many": "This file holds more than any results do, so we do not open it.",
  "results.not_elmo":
    "This is XML, but no file of results. Choose the one that your university or its service gave you.",
  "results.version": "This file is of a newer version of the format than we can read. Paste the courses instead.",
  "results.failed": "The file could not be sent. Look at your connection and choose it again.",
} as const;
