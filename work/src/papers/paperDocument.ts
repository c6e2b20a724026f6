import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { Paper, PaperBlock } from './paper';

/** Sheets that printers hold. */
export const SHEETS = ['A4', 'LETTER'] as const;
/** One of them. */
export type Sheet = (typeof SHEETS)[number];

/** Margins of a page, pt. */
const MARGIN_PT = 42;
/** Width between the margins, pt: what a drawing may take at most, of either sheet. */
const ROOM_PT: Record<Sheet, number> = { A4: 595 - 2 * MARGIN_PT, LETTER: 612 - 2 * MARGIN_PT };
/** Labels of a row of the label sheet. */
const LABELS_A_ROW = 4;

/** A paper as the PDF maker takes it, in the faces “Text” and “Strong”; the server and the app make the same of it. */
export function paperDocument(paper: Paper, sheet: Sheet): TDocumentDefinitions {
  return {
    pageSize: sheet,
    pageMargins: MARGIN_PT,
    info: { title: `${paper.title}: ${paper.subtitle}` },
    defaultStyle: { font: 'Text', fontSize: 10.5, lineHeight: 1.15 },
    footer: (page, pages) => ({
      text: `${paper.subtitle} · ${page} / ${pages}`,
      fontSize: 8,
      margin: [MARGIN_PT, 10],
    }),
    content: [
      { text: paper.title, font: 'Strong', bold: true, fontSize: 24 },
      { text: paper.subtitle, margin: [0, 0, 0, 10] },
      ...paper.blocks.map((block) => contentOf(block, sheet)),
    ],
  };
}

function contentOf(block: PaperBlock, sheet: Sheet): Content {
  switch (block.is) {
    case 'heading':
      return { text: block.text, font: 'Strong', bold: true, fontSize: 15, margin: [0, 10, 0, 4] };
    case 'text':
      return { text: block.text, margin: [0, 0, 0, 4] };
    case 'caution':
      return {
        table: { widths: ['*'], body: [[{ text: `⚠ ${block.text}`.replace('⚠ ', 'Caution: ') }]] },
        margin: [0, 2, 0, 6],
      };
    case 'steps':
      return {
        ol: block.steps.map(({ text, cautions }) => ({
          stack: [
            text,
            ...cautions.map((one) => ({ text: `Caution: ${one}`, fontSize: 9, italics: false })),
          ],
          margin: [0, 0, 0, 3],
          unbreakable: true,
        })),
      };
    case 'table':
      return {
        layout: 'lightHorizontalLines',
        margin: [0, 0, 0, 6],
        table: {
          headerRows: 1,
          widths: block.head.map((_name, index) =>
            index === block.head.length - 1 ? 'auto' : '*',
          ),
          body: [
            block.head.map((text) => ({ text, bold: true })),
            ...block.rows.map((row) => [...row]),
          ],
        },
      };
    case 'drawing':
      return { svg: block.svg, fit: [ROOM_PT[sheet], ROOM_PT[sheet]], margin: [0, 0, 0, 6] };
    case 'labels':
      return labels(block.labels);
  }
}

function labels(all: readonly { readonly text: string; readonly code: string }[]): Content {
  const cells = all.map(({ text, code }) => ({
    stack: [
      { text, font: 'Strong', bold: true, fontSize: 11 },
      { qr: code, fit: 58 },
    ],
    margin: [2, 3, 2, 3] as [number, number, number, number],
  }));
  while (cells.length % LABELS_A_ROW !== 0) cells.push({ stack: [], margin: [0, 0, 0, 0] });
  const rows = Array.from({ length: cells.length / LABELS_A_ROW }, (_, row) =>
    cells.slice(row * LABELS_A_ROW, (row + 1) * LABELS_A_ROW),
  );
  return { table: { widths: Array.from({ length: LABELS_A_ROW }, () => '*'), body: rows } };
}
