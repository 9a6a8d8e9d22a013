import { SaxesParser, type SaxesTagPlain } from 'saxes';

/** So many elements are drawn at most, those counted again that are drawn again by a reference. */
const MOST_DRAWN = 50_000;
/** Parts within parts, or parts that name others which name others; the library itself reads 256 within each other. */
const MOST_DEEP = 500;
/** More names than any drawing program gives its namespaces. */
const MOST_ENTITIES = 100;
/** What a drawing may be written in: all agree on the characters that elements are named by. */
const ENCODINGS = /^(?:utf-8|us-ascii|ascii|iso-8859-\d+|windows-125\d)$/i;

/** Why a drawing is not drawn. */
export type DrawingProblem =
  | 'damaged'
  | 'filters'
  | 'foreign'
  | 'too-many'
  | 'entities'
  | 'encoding'
  | 'circle';

/**
 * What is wrong with a drawing before anything of it is drawn: what takes no end of time to draw, or holds what is no
 * drawing. Null where nothing is. Elements as SVG 2 has them, whatever prefix they bear.
 */
export function drawingProblem(bytes: Uint8Array): DrawingProblem | null {
  const reader = new Reader();
  return reader.read(new TextDecoder().decode(bytes)) ?? tooMuch(reader.elements);
}

/** An element: how many are in it with itself, and which others it draws. */
interface Element {
  readonly id: string | null;
  readonly inside: number[];
  readonly refers: string[];
}

class Reader {
  readonly elements: Element[] = [];
  readonly #open: Element[] = [];
  #problem: DrawingProblem | null = null;

  read(text: string): DrawingProblem | null {
    const parser = new SaxesParser({ xmlns: false });
    parser.on('xmldecl', ({ encoding = 'utf-8' }) => {
      if (!ENCODINGS.test(encoding)) this.#problem ??= 'encoding';
    });
    parser.on('doctype', (type) => this.#declares(type, parser));
    parser.on('opentag', (tag) => this.#begins(tag));
    parser.on('closetag', () => this.#open.pop());
    parser.on('text', (inside) => this.#says(inside));
    parser.on('cdata', (inside) => this.#says(inside));
    parser.on('error', () => {
      this.#problem ??= 'damaged';
    });
    try {
      parser.write(text).close();
    } catch {
      // What it stopped at was told before.
      this.#problem ??= 'damaged';
    }
    return this.#problem;
  }

  /** An entity may stand for text, as drawing programs use them for namespaces: never for elements or other entities. */
  #declares(type: string, parser: { ENTITIES: Record<string, string> }): void {
    const all = type.match(/<!ENTITY/g) ?? [];
    const plain = [...type.matchAll(/<!ENTITY\s+([\w.-]+)\s+(?:"([^"<&%]*)"|'([^'<&%]*)')\s*>/g)];
    if (all.length !== plain.length || all.length > MOST_ENTITIES) this.#problem ??= 'entities';
    for (const [, name = '', double, single] of plain) parser.ENTITIES[name] = double ?? single ?? '';
  }

  #begins({ name, attributes }: SaxesTagPlain): void {
    const kind = localName(name);
    if (kind === 'filter' || /^fe[A-Z]/.test(kind)) this.#problem ??= 'filters';
    if (kind === 'foreignObject') this.#problem ??= 'foreign';
    const refers: string[] = [];
    let id: string | null = null;
    for (const [named, value] of Object.entries(attributes)) {
      const attribute = localName(named);
      if (attribute === 'id') id = value;
      if (attribute === 'filter' && value.trim() !== 'none') this.#problem ??= 'filters';
      if (attribute === 'style') this.#says(value);
      if (attribute === 'href') {
        if (/^\s*data:(?!image\/(?:png|jpe?g|gif|webp)[;,])/i.test(value)) this.#problem ??= 'foreign';
        if (kind === 'use' && value.trim().startsWith('#')) refers.push(value.trim().slice(1));
      }
      for (const [, target = ''] of value.matchAll(/url\(\s*["']?#([^"')]+)/g)) refers.push(target);
    }
    const place = this.elements.push({ id, inside: [], refers }) - 1;
    this.#open.at(-1)?.inside.push(place);
    const own = this.elements[place];
    if (own) this.#open.push(own);
    if (this.#open.length > MOST_DEEP) this.#problem ??= 'too-many';
  }

  /** Style says the same as attributes do. */
  #says(text: string): void {
    if (/(?:^|[\s;{"'])filter\s*:(?!\s*none)/i.test(text)) this.#problem ??= 'filters';
  }
}

/** How much is drawn in all; a reference draws what it names once more. */
function tooMuch(elements: readonly Element[]): DrawingProblem | null {
  const byId = new Map(elements.flatMap((element) => (element.id === null ? [] : [[element.id, element]])));
  const counted = new Map<Element, number>();
  const counting = new Set<Element>();
  let circle = false;
  let isDeep = false;
  const count = (element: Element): number => {
    const known = counted.get(element);
    if (known !== undefined) return known;
    if (counting.has(element)) {
      circle = true;
      return 0;
    }
    if (counting.size > MOST_DEEP) {
      isDeep = true;
      return 0;
    }
    counting.add(element);
    let sum = 1;
    for (const place of element.inside) sum += countOf(elements[place]);
    for (const name of element.refers) sum += countOf(byId.get(name));
    counting.delete(element);
    counted.set(element, Math.min(sum, MOST_DRAWN + 1));
    return sum;
  };
  const countOf = (element: Element | undefined) => (element ? count(element) : 0);
  const drawn = countOf(elements[0]);
  if (circle) return 'circle';
  return isDeep || drawn > MOST_DRAWN ? 'too-many' : null;
}

function localName(name: string): string {
  return name.slice(name.indexOf(':') + 1);
}
