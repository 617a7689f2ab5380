declare module "email-reply-parser" {
  /** What of a mail its sender wrote, and what is quoted or a signature. */
  export default class EmailReplyParser {
    read(text: string): { getVisibleText(options?: { aggressive?: boolean }): string };
  }
}
