/** What the owner of a test sent: one result is an applicant's, one stands under a number with another name, the rest are people who applied elsewhere. */
export const OWNER_LIST = {
  test: "het",
  fileName: "het-results-october.csv",
  text: [
    "Registration number,Family name,Given names,Date of birth,Test date,Listening,Reading,Writing,Speaking",
    "HET-31 882,OSEI-TUTU,KWABENA,,2026-10-03,41,43,37,40",
    "HET-31 907,Marchetti-Diop,Estelle,2001-12-02,2026-10-03,33,35,30,31",
    "HET-31 640,Aldous,Wren,2004-02-29,2026-09-26,45,44,41,46",
    "HET-31 655,Ferreira Lobo,Caetano,2002-08-17,2026-09-26,38,36,33,39",
    "HET-31 671,Haugland,Synne,2003-01-05,2026-09-26,29,34,28,30",
    "HET-31 911,Petrosyan,Anahit,2001-06-23,2026-10-03,40,41,36,38",
    "HET-32 004,Nakagawa,Ren,2004-11-30,2026-10-10,36,39,31,33",
    "HET-32 017,O’Hanlon,Saoirse,2003-09-14,2026-10-10,49,48,46,50",
    "HET-32 020,Dlamini,Thandeka,2002-03-08,2026-10-10,42,40,39,44",
  ].join("\n"),
} as const;
