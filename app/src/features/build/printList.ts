import type { MatchingList } from '@lucky-thread/work';
import { meetingWords } from '@lucky-thread/work';
import { conductorWords } from './conductorWords';

/** What is printed over the list. */
export interface ListHead {
  /** The vehicle in a line. */
  readonly vehicle: string;
  /** The device as the list names it. */
  readonly device: string;
}

/** A matching list as a page of its own for the printer: black on white, a line to tick at each pair. */
export function printedList(head: ListHead, list: MatchingList, us: boolean): string {
  const rows = list.pairs.map(({ lead, to, optional, leftOff }) =>
    row([
      '☐',
      `${lead.words ?? ''} ${lead.name}`,
      to === undefined
        ? optional
          ? ['left off: cap it by itself', leftOff ?? ''].filter(Boolean).join('. ')
          : 'not chosen yet'
        : [to.place, to.source, to.colour ?? ''].join(' '),
      to?.side ?? '',
      to === undefined
        ? ''
        : [`${to.joint}.`, ...meetingWords(to), to.signal?.because].filter(Boolean).join(' '),
      to?.fuseA === undefined ? '' : `${to.fuseA} A`,
      to === undefined ? '' : conductorWords(to, us),
    ]),
  );
  const left = list.left.map(({ lead, end }) =>
    row(['☐', `${lead.words ?? ''} ${lead.name}`, `left over: ${end}`, '', '', '', '']),
  );
  const names = ['', 'Lead', 'Vehicle', 'Supply enters', 'Joint', 'Fuse', 'Wire and length'];
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${escaped(`${head.vehicle}: ${head.device}`)}</title>
<style>body{font:12pt sans-serif;margin:14mm}h1{font-size:16pt;margin:0}table{border-collapse:collapse;width:100%;margin-top:6mm}
th,td{border-bottom:1px solid #777;padding:2mm;text-align:left;vertical-align:top}th{font-size:10pt}</style></head>
<body><h1>${escaped(head.vehicle)}</h1><p>${escaped(head.device)}</p>
<table><thead><tr>${names.map((name) => `<th>${name}</th>`).join('')}</tr></thead><tbody>${[...rows, ...left].join('')}</tbody></table>
<p>Colours hold within this kit’s own harness only. The vehicle maker’s service information comes first.</p></body></html>`;
}

function row(cells: readonly string[]): string {
  return `<tr>${cells.map((cell) => `<td>${escaped(cell.trim())}</td>`).join('')}</tr>`;
}

function escaped(text: string): string {
  return text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);
}
