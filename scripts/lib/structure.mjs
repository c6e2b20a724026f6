import { readFileSync, readdirSync, statSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';
import { ROOT } from './run.mjs';

/** Packages whose structure is looked at. */
const PACKAGES = ['core', 'contract', 'work', 'server', 'app'];
/** What may not get worse. */
const LIMITS = {
  circles: 0,
  longFunctionsPercent: { core: 2, contract: 2, work: 2, server: 3, app: 3 },
  // What other packages build on; the props of screens are named for what they are.
  explainedPercent: { core: 80, contract: 80, work: 80, server: 80, app: 80 },
  positional: 4,
};
const LONG_LINES = 50;

/**
 * How the house stands: circles of imports by value or type, how many rooms on how many floors each package has, functions
 * over fifty lines, functions with more than four positional arguments, and how many members of exported types are explained.
 */
export function structure() {
  const packages = PACKAGES.map((name) => lookAt(name));
  const problems = packages.flatMap(({ name, circles, longPercent, crowded, explainedPercent }) => [
    ...circles.map((files) => `${name}: a circle of ${files.join(', ')}`),
    ...(longPercent > LIMITS.longFunctionsPercent[name]
      ? [
          `${name}: ${longPercent.toFixed(1)} % of its functions are over ${LONG_LINES} lines, at most ${LIMITS.longFunctionsPercent[name]} % may be`,
        ]
      : []),
    ...(explainedPercent < LIMITS.explainedPercent[name]
      ? [
          `${name}: ${explainedPercent.toFixed(1)} % of its exported members are explained, at least ${LIMITS.explainedPercent[name]} % must be`,
        ]
      : []),
    ...crowded.map((where) => `${where} takes more than ${LIMITS.positional} arguments in a row`),
  ]);
  return { packages, problems };
}

/** One line per package. */
export function structureLine(one) {
  return `${one.name}: ${one.files} files in ${one.rooms} rooms on ${one.floors} floors, ${one.circles.length} circles, ${one.longPercent.toFixed(1)} % of ${one.functions} functions over ${LONG_LINES} lines, ${one.explainedPercent.toFixed(0)} % of members explained`;
}

function lookAt(name) {
  const base = path.join(ROOT, name, 'src');
  const files = sourcesIn(base);
  const graph = new Map(files.map((file) => [file, importsOf(file, new Set(files))]));
  const rooms = new Map();
  for (const [file, targets] of graph) {
    const room = path.relative(base, path.dirname(file));
    const to = rooms.get(room) ?? new Set();
    for (const target of targets) to.add(path.relative(base, path.dirname(target)));
    to.delete(room);
    rooms.set(room, to);
  }
  const seen = files.map((file) => measure(file));
  const functions = seen.flatMap((one) => one.functions);
  const members = seen.reduce((sum, one) => sum + one.members, 0);
  const explained = seen.reduce((sum, one) => sum + one.explained, 0);
  return {
    name,
    files: files.length,
    rooms: rooms.size,
    floors: floorsOf(rooms),
    circles: circlesIn(graph).map((circle) => circle.map((file) => path.relative(base, file))),
    functions: functions.length,
    longPercent:
      (100 * functions.filter(({ lines }) => lines > LONG_LINES).length) / functions.length,
    crowded: functions.filter(({ args }) => args > LIMITS.positional).map(({ where }) => where),
    explainedPercent: members === 0 ? 100 : (100 * explained) / members,
  };
}

function sourcesIn(folder) {
  return readdirSync(folder).flatMap((entry) => {
    const file = path.join(folder, entry);
    if (statSync(file).isDirectory()) return sourcesIn(file);
    return /\.tsx?$/.test(entry) && !/\.(test|scratch|d)\.tsx?$/.test(entry) ? [file] : [];
  });
}

function importsOf(file, known) {
  const text = readFileSync(file, 'utf8');
  return ts
    .preProcessFile(text)
    .importedFiles.map(({ fileName }) => fileName)
    .filter((name) => name.startsWith('.'))
    .map((name) => path.resolve(path.dirname(file), name))
    .map((stem) => ['.ts', '.tsx', '/index.ts', '/index.tsx'].map((end) => stem + end))
    .flatMap((tries) => tries.find((one) => known.has(one)) ?? []);
}

/** Strongly connected parts of more than one file (Tarjan 1972). */
function circlesIn(graph) {
  const order = new Map();
  const low = new Map();
  const path = [];
  const circles = [];
  const visit = (file) => {
    order.set(file, order.size);
    low.set(file, order.get(file));
    path.push(file);
    for (const next of graph.get(file) ?? []) {
      if (!order.has(next)) visit(next);
      if (path.includes(next)) low.set(file, Math.min(low.get(file), low.get(next)));
    }
    if (low.get(file) !== order.get(file)) return;
    const part = path.splice(path.indexOf(file));
    if (part.length > 1) circles.push(part);
  };
  for (const file of graph.keys()) if (!order.has(file)) visit(file);
  return circles;
}

/** The longest way down from a room to one that imports nothing; rooms in a circle count once. */
function floorsOf(rooms) {
  const known = new Map();
  const depth = (room, above) => {
    if (above.includes(room)) return 0;
    if (known.has(room)) return known.get(room);
    const below = [...(rooms.get(room) ?? [])].map((next) => depth(next, [...above, room]));
    const floors = 1 + Math.max(0, ...below);
    known.set(room, floors);
    return floors;
  };
  return Math.max(...[...rooms.keys()].map((room) => depth(room, [])));
}

function measure(file) {
  const source = ts.createSourceFile(
    file,
    readFileSync(file, 'utf8'),
    ts.ScriptTarget.Latest,
    true,
  );
  const functions = [];
  let [members, explained] = [0, 0];
  const lineOf = (position) => source.getLineAndCharacterOfPosition(position).line + 1;
  const walk = (node) => {
    if (ts.isFunctionLike(node) && node.body !== undefined) {
      const from = lineOf(node.getStart(source));
      functions.push({
        where: `${path.relative(ROOT, file)}:${from}`,
        lines: lineOf(node.getEnd()) - from + 1,
        args: node.parameters.length,
      });
    }
    if (ts.isInterfaceDeclaration(node) && isExported(node))
      for (const member of node.members) {
        members += 1;
        if (ts.getJSDocCommentsAndTags(member).length > 0) explained += 1;
      }
    ts.forEachChild(node, walk);
  };
  walk(source);
  return { functions, members, explained };
}

function isExported(node) {
  return node.modifiers?.some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword) === true;
}
