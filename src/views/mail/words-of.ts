/** The words of the office for the mail in the row `m` of `message`, in its language: those with which it went, or will go. */
export const WORDS_OF = `(select w.words->m.locale from mail_wording w where w.id = coalesce(m.wording_id,
  case when m.sent_at is null then (select n.id from mail_wording n where n.template = m.template order by n.version desc limit 1) end))`;
