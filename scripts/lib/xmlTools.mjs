import { existsSync } from 'node:fs';
import { ensureDebianPackages } from './debian.mjs';

const FILES = [
  '/usr/bin/xmllint',
  '/usr/share/xml/w3c-sgml-lib/schema/dtd/REC-SVG11-20110816/svg11.dtd',
];

/** Installs what drawings are validated with from Debian unless it is there: xmllint and the W3C's document type definitions. */
export async function ensureXmlTools() {
  await ensureDebianPackages('the XML validator', ['libxml2-utils', 'w3c-sgml-lib'], () =>
    FILES.every((one) => existsSync(one)),
  );
}
