import type { Visitor } from './browser';
import { fieldIsThere } from './files';

/** What a card says: rows of cells, each rating and legend in two lines. */
export type CardText = readonly (readonly (readonly [string, string])[])[];

/** Where the card's corners lie on the picture, px: upper left, upper right, lower right, lower left. */
export const CARD_CORNERS = [
  [120, 110],
  [1470, 160],
  [1440, 1040],
  [150, 1060],
] as const;
/** Size of the picture, px. */
export const CARD_PICTURE = { width: 1600, height: 1200 } as const;

/**
 * Draws a card as a phone would see it, aslant and in uneven light, and hands it to the app as if it had been chosen. The
 * browser draws triangles only straight: the card is cut into strips, each of them straight.
 */
export async function choosePicture(visitor: Visitor, card: CardText): Promise<void> {
  await visitor.see('card-entry');
  await hand(visitor, card, 'card-file');
  await visitor.see('corner-pull');
}

/** Hands such a picture to the file field of an id. */
export async function hand(visitor: Visitor, card: CardText, field: string): Promise<void> {
  await fieldIsThere(visitor, field);
  await visitor.driver.executeAsyncScript(DRAW, card, CARD_CORNERS, CARD_PICTURE, field);
}

const DRAW = `
  const [card, [a, b, c, d], size, field, done] = arguments;
  const flat = document.createElement('canvas');
  flat.width = 1400; flat.height = 900;
  const ink = flat.getContext('2d');
  ink.fillStyle = '#f3f0e8'; ink.fillRect(0, 0, 1400, 900);
  ink.strokeStyle = ink.fillStyle = '#222'; ink.lineWidth = 3; ink.textAlign = 'center';
  const [high, wide] = [900 / card.length, 1400 / card[0].length];
  card.forEach((row, y) => row.forEach(([rating, legend], x) => {
    ink.strokeRect(x * wide, y * high, wide, high);
    ink.font = '36px DejaVu Sans'; ink.fillText(rating, (x + 0.5) * wide, (y + 0.42) * high);
    ink.font = 'bold 36px DejaVu Sans'; ink.fillText(legend, (x + 0.5) * wide, (y + 0.75) * high);
  }));
  const canvas = document.createElement('canvas');
  canvas.width = size.width; canvas.height = size.height;
  const context = canvas.getContext('2d');
  context.fillStyle = '#4a4640'; context.fillRect(0, 0, size.width, size.height);
  for (let y = 0; y < 900; y += 1) {
    const at = y / 900;
    const [fromX, fromY] = [a[0] + at * (d[0] - a[0]), a[1] + at * (d[1] - a[1])];
    const [toX, toY] = [b[0] + at * (c[0] - b[0]), b[1] + at * (c[1] - b[1])];
    context.setTransform((toX - fromX) / 1400, (toY - fromY) / 1400, 0, 1.2, fromX, fromY);
    context.drawImage(flat, 0, y, 1400, 1, 0, 0, 1400, 1);
  }
  context.setTransform(1, 0, 0, 1, 0, 0);
  const light = context.createLinearGradient(0, 0, size.width, size.height);
  light.addColorStop(0, 'rgba(0,0,0,0)'); light.addColorStop(1, 'rgba(0,0,0,0.35)');
  context.fillStyle = light; context.fillRect(0, 0, size.width, size.height);
  canvas.toBlob((blob) => {
    const files = new DataTransfer();
    files.items.add(new File([blob], 'lid.jpg', { type: 'image/jpeg' }));
    const input = document.querySelector('[data-testid=' + field + ']');
    input.files = files.files;
    input.dispatchEvent(new Event('change', { bubbles: true }));
    done();
  }, 'image/jpeg', 0.9);
`;

/** Pulls the four corners onto those of the card, as a thumb does. */
export async function pullCorners(visitor: Visitor): Promise<void> {
  const names = ['upper-left', 'upper-right', 'lower-right', 'lower-left'];
  for (const [at, name] of names.entries()) {
    const handle = await visitor.see(`corner-${name}`);
    await visitor.driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', handle);
    const picture = await (await visitor.see('corner-pull')).getRect();
    const from = await handle.getRect();
    const scale = picture.width / CARD_PICTURE.width;
    const [x = 0, y = 0] = CARD_CORNERS[at] ?? [];
    await visitor.driver
      .actions({ async: true })
      .move({ origin: handle })
      .press()
      .move({
        origin: handle,
        x: Math.round(picture.x + x * scale - (from.x + from.width / 2)),
        y: Math.round(picture.y + y * scale - (from.y + from.height / 2)),
        duration: 100,
      })
      .release()
      .perform();
  }
}
