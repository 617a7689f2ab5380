/** Accounts, in English. */
export const people = {
  "account.email": "E-mail",
  "account.name": "Your name",
  "account.nameHelp": "As you would like to be addressed. The name in your passport is asked for in the application.",
  "account.password": "Password",
  "account.passwordHelp":
    "At least 12 characters, without your name or address, and not one that is guessed soon. Three or four words are good.",
  "account.consent": "I agree that my data is kept for my application (terms of 1 September 2026).",
  "account.signUp": "Open an account",
  "account.signUpTitle": "Open an account",
  "account.signUpDone":
    "Look into your mailbox. If the address is right, a mail with a link is on its way. The link works for a day.",
  "account.noMail": "No mail after a few minutes? Look among unwanted mail, or ask for another one.",
  "account.sendAgain": "Send the link again",
  "account.sentAgain": "If the address is right, another mail is on its way.",
  "account.signIn": "Sign in",
  "account.signInTitle": "Sign in",
  "account.lost": "I lost my password",
  "account.lostTitle": "A new password",
  "account.lostIntro":
    "Tell us your address. If it has an account, we mail a link with which you set a new password. It works for an hour.",
  "account.lostSend": "Mail me a link",
  "account.newPassword": "New password",
  "account.setPassword": "Set the password",
  "account.setPasswordDone": "Your new password is set, and you were signed out everywhere. Sign in with it now.",
  "account.confirmTitle": "Confirm your address and choose a password",
  "account.confirmIntro": "This opens the account of {email}. If it was not you who asked for it, close this page.",
  "account.confirm": "Open my account",
  "account.title": "Your account",
  "account.everywhere": "Sign out everywhere",
  "account.everywhereHelp": "Ends all sessions on all devices, this one included.",
  "account.languageTitle": "Language of our letters and mails",
  "account.wrong":
    "This address and password do not belong together, or the address is not confirmed yet. Look at both, or set a new password.",
  "account.unavailable":
    "We cannot reach our own records at the moment. Nothing is wrong with what you typed: try again in a minute.",
  "account.locked": "There were too many wrong guesses. Wait a quarter of an hour, or set a new password by mail.",
  "account.linkEnded":
    "This link has ended: it was used before, replaced by a newer one, or is too old. Ask for a new one.",
  "account.badEmail": "This is not an e-mail address. It needs a name, an @ and a domain.",
  "account.badPassword": "The password needs at least 12 characters.",
  "account.passwordGuessed": "This password is guessed soon. Take three or four words that do not belong together.",
  "account.passwordFromForm": "The password must not contain your name or your e-mail address.",
  "account.badName": "Write your name.",
  "account.noConsent": "Without your agreement we may not keep an application. Tick the box to go on.",
} as const;
