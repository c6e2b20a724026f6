import type { Visitor } from './browser';

/** Hands a file to a file field of the page as if it had been chosen. */
export async function handFile(
  visitor: Visitor,
  field: string,
  file: { readonly name: string; readonly type: string; readonly bytes: Uint8Array },
): Promise<void> {
  const { name, type, bytes } = file;
  await fieldIsThere(visitor, field);
  await visitor.driver.executeScript(
    `const [field, name, type, base64] = arguments;
     const bytes = Uint8Array.from(atob(base64), (sign) => sign.charCodeAt(0));
     const files = new DataTransfer();
     files.items.add(new File([bytes], name, { type }));
     const input = document.querySelector('[data-testid="' + field + '"]');
     input.files = files.files;
     input.dispatchEvent(new Event('change', { bubbles: true }));`,
    field,
    name,
    type,
    Buffer.from(bytes).toString('base64'),
  );
}

/** Waits for a file field; the browser does not count it as seen, since a button stands for it. */
export async function fieldIsThere(visitor: Visitor, field: string): Promise<void> {
  const find = `return document.querySelector('[data-testid="${field}"]') !== null`;
  await visitor.until(`the file field ${field} is there`, () =>
    visitor.driver.executeScript<boolean>(find),
  );
}

/** What the server answers to the page for a path, as bytes. */
export async function fetched(visitor: Visitor, path: string): Promise<Uint8Array> {
  const base64 = await visitor.driver.executeAsyncScript<string>(
    `const [path, done] = arguments;
     fetch(path).then((answer) => answer.blob()).then((blob) => {
       const reader = new FileReader();
       reader.onload = () => done(reader.result.split(',')[1]);
       reader.readAsDataURL(blob);
     });`,
    path,
  );
  return Buffer.from(base64, 'base64');
}
