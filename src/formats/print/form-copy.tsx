import { Document, Page, renderToBuffer, StyleSheet, Text, View } from "@react-pdf/renderer";
import type { CopiedSection, FormCopy } from "../../core/form/form-copy";
import { printable, printFonts } from "./fonts";

const INK = "#1b2430";
const QUIET = "#5a6472";
const LINE = "#ddd8cc";
const styles = StyleSheet.create({
  page: { padding: 48, paddingBottom: 60, fontSize: 10, color: INK, lineHeight: 1.4 },
  title: { fontSize: 17, fontWeight: 700, lineHeight: 1.2, marginBottom: 8 },
  under: { color: QUIET, marginBottom: 10 },
  part: { fontSize: 13, fontWeight: 700, marginTop: 14, marginBottom: 2 },
  section: { marginTop: 10, borderTopWidth: 0.7, borderTopColor: LINE, paddingTop: 6 },
  heading: { fontSize: 11, fontWeight: 700, marginBottom: 4 },
  summary: { fontWeight: 700, marginBottom: 4 },
  entry: { marginBottom: 6 },
  entryTitle: { color: QUIET, fontWeight: 700, marginBottom: 2 },
  row: { flexDirection: "row", borderTopWidth: 0.4, borderTopColor: LINE, paddingVertical: 2 },
  cell: { flex: 1, paddingRight: 8 },
  pair: { flexDirection: "row", marginBottom: 2 },
  label: { width: 170, color: QUIET, paddingRight: 10 },
  value: { flex: 1 },
  long: { marginTop: 2 },
  // Counted from above: a text that is worked out for each page is lost when it is placed from below.
  foot: { position: "absolute", top: 800, left: 48, right: 48, color: QUIET, fontSize: 8 },
});

function Row({ cells, color }: { cells: readonly string[]; color: string }) {
  return (
    <View style={styles.row} wrap={false}>
      {cells.map((cell, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a printed row never changes
        <Text key={`${i} ${cell}`} style={[styles.cell, { color, flex: i === 0 ? 2 : 1 }]}>
          {printable(cell)}
        </Text>
      ))}
    </View>
  );
}

function Table({ table }: { table: NonNullable<CopiedSection["table"]> }) {
  return (
    <View>
      <Row cells={table.heads} color={QUIET} />
      {table.rows.map((row, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a printed table never changes
        <Row key={`${i} ${row[0]}`} cells={row} color={INK} />
      ))}
    </View>
  );
}

function Section({ section }: { section: CopiedSection }) {
  return (
    <View style={styles.section}>
      <Text style={styles.heading} minPresenceAhead={40}>
        {printable(section.title)}
      </Text>
      {section.summary ? <Text style={styles.summary}>{printable(section.summary)}</Text> : null}
      {section.table ? <Table table={section.table} /> : null}
      {section.empty ? <Text style={{ color: QUIET }}>{printable(section.empty)}</Text> : null}
      {section.entries.map((entry) => (
        <View key={entry.id} style={styles.entry}>
          {entry.title ? <Text style={styles.entryTitle}>{printable(entry.title)}</Text> : null}
          {entry.pairs.map(({ label, value, long }) => (
            <View key={label} style={long ? { marginBottom: 4 } : styles.pair} wrap={long}>
              <Text style={long ? { color: QUIET } : styles.label}>{printable(label)}</Text>
              <Text style={long ? styles.long : styles.value}>{printable(value)}</Text>
            </View>
          ))}
        </View>
      ))}
    </View>
  );
}

/**
 * Prints a form as PDF, A4, with page numbers.
 * @param madeOn stands in the file as the day on which it was made
 */
export async function printFormCopy(copy: FormCopy, locale: string, madeOn: Date): Promise<Uint8Array<ArrayBuffer>> {
  const fontFamily = printFonts();
  const bytes = await renderToBuffer(
    <Document title={copy.title} language={locale} creationDate={madeOn} producer="Unvex" creator="Unvex">
      <Page size="A4" style={[styles.page, { fontFamily }]}>
        <Text
          style={styles.foot}
          fixed
          render={({ pageNumber, totalPages }) =>
            printable(copy.foot.replace("{page}", String(pageNumber)).replace("{pages}", String(totalPages)))
          }
        />
        <Text style={styles.title}>{printable(copy.title)}</Text>
        <Text style={styles.under}>{printable(copy.under)}</Text>
        {copy.parts.map((part) => (
          <View key={part.title ?? ""}>
            {part.title ? (
              <Text style={styles.part} minPresenceAhead={60}>
                {printable(part.title)}
              </Text>
            ) : null}
            {part.sections.map((section) => (
              <Section key={section.key} section={section} />
            ))}
          </View>
        ))}
        {copy.annexes.map(({ title, lines }) => (
          <View key={title} style={styles.section}>
            <Text style={styles.heading}>{printable(title)}</Text>
            {lines.map(({ what, words }) => (
              <View key={what} style={styles.pair} wrap={false}>
                <Text style={styles.label}>{printable(what)}</Text>
                <Text style={styles.value}>{printable(words.join("\n"))}</Text>
              </View>
            ))}
          </View>
        ))}
      </Page>
    </Document>,
  );
  return new Uint8Array(bytes);
}
