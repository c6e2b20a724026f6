import type { ModelView, ProblemDocument } from '@lucky-thread/contract';
import { MOST_PHOTOS, MOST_PHOTO_BYTES } from '@lucky-thread/contract';
import { v7 as uuidv7 } from 'uuid';
import { cameraData, jpegFrame } from '../../testing/pictures';
import type { Answer, TestServer, Visitor } from '../../testing/testServer';
import { modelBody, panelBody, problemPaths, startTestServer } from '../../testing/testServer';

let server: TestServer;
let visitor: Visitor;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
});
afterAll(() => server.stop());

type Given = Answer<ModelView & ProblemDocument>;

async function vehicle(): Promise<string> {
  const id = uuidv7();
  await visitor.put(`/models/${id}`, modelBody());
  await visitor.put(`/models/${id}/places/dash`, panelBody());
  return id;
}

function upload(
  modelId: string,
  jpeg: Uint8Array,
  { photoId = uuidv7(), type = 'image/jpeg', place = 'dash' } = {},
): Promise<Given> {
  return visitor.send('PUT', `/models/${modelId}/places/${place}/photos/${photoId}`, jpeg, {
    type,
  });
}

const PIN = { sourceId: 'dash/F1', x: 0.25, y: 0.5 };

describe('a photo of a place', () => {
  it('is kept once, says what it shows, and comes back byte for byte', async () => {
    const modelId = await vehicle();
    const photoId = uuidv7();
    const jpeg = jpegFrame(1600, 1200);
    await upload(modelId, jpeg, { photoId });
    const { body } = await upload(modelId, jpeg, { photoId });
    expect(body.photos).toMatchObject([
      { id: photoId, placeId: 'dash', width: 1600, height: 1200, pins: [], version: 1 },
    ]);
    const described = await visitor.put<ModelView>(`/photos/${photoId}`, {
      base: 1,
      caption: 'Behind the flap',
      pins: [PIN],
    });
    expect(described.body.photos).toMatchObject([{ caption: 'Behind the flap', pins: [PIN] }]);
    const picture = await visitor.get(`/photos/${photoId}`);
    expect(picture.headers.get('content-type')).toBe('image/jpeg');
    expect(Buffer.from(picture.bytes).equals(jpeg)).toBe(true);
  });

  it('is described by the faster of two, and the other is told what it says now', async () => {
    const modelId = await vehicle();
    const photoId = uuidv7();
    await upload(modelId, jpegFrame(800, 600), { photoId });
    const say = (caption: string): Promise<Given> =>
      visitor.put(`/photos/${photoId}`, { base: 1, caption, pins: [] });
    expect((await say('first')).status).toBe(200);
    const late = await say('second');
    expect(late.status).toBe(409);
    expect(late.body.current).toMatchObject({ caption: 'first', version: 2 });
  });

  it('is described once however often the same is sent, and otherwise only by who knows what it says', async () => {
    const modelId = await vehicle();
    const photoId = uuidv7();
    await upload(modelId, jpegFrame(800, 600), { photoId });
    const [slot] = panelBody().slots;
    const slots = [slot, { ...slot, position: 'F2', column: 1 }];
    await visitor.put(`/models/${modelId}/places/dash`, { ...panelBody(), base: 1, slots });
    const pins = [
      { sourceId: 'dash/F2', x: 1 / 3, y: 0.1 },
      { ...PIN, x: 2 / 7 },
    ];
    const say = (what: object = {}): Promise<Given> =>
      visitor.put(`/photos/${photoId}`, { base: 1, caption: 'Behind the flap', pins, ...what });
    for (let time = 0; time < 2; time += 1) {
      const answer = await say();
      expect(answer.status).toBe(200);
      expect(answer.body.photos).toMatchObject([{ version: 2, pins: [pins[1], pins[0]] }]);
    }
    for (const other of [{ caption: '' }, { pins: [PIN] }, { pins: [pins[0], PIN] }])
      expect((await say(other)).status).toBe(409);
  });

  it('loses a pin with its source, and goes with its place', async () => {
    const modelId = await vehicle();
    const photoId = uuidv7();
    await upload(modelId, jpegFrame(800, 600), { photoId });
    await visitor.put(`/photos/${photoId}`, { base: 1, caption: '', pins: [PIN] });
    const other = { ...panelBody().slots[0], position: 'F2' };
    const panel = { ...panelBody(), base: 1, slots: [other] };
    const { body } = await visitor.put<ModelView>(`/models/${modelId}/places/dash`, panel);
    expect(body.photos).toMatchObject([{ pins: [] }]);
    const gone = await visitor.delete<ModelView>(`/models/${modelId}/places/dash`);
    expect(gone.body.photos).toEqual([]);
    expect((await visitor.get(`/photos/${photoId}`)).status).toBe(404);
  });

  it('is taken away by hand', async () => {
    const modelId = await vehicle();
    const photoId = uuidv7();
    await upload(modelId, jpegFrame(800, 600), { photoId });
    expect((await visitor.delete<ModelView>(`/photos/${photoId}`)).body.photos).toEqual([]);
  });
});

describe('what is no photo that is kept', () => {
  it.each([
    ['no picture at all', Buffer.from('hello')],
    ['a picture of another kind', Buffer.from('GIF89a\x01\x00\x01\x00\x00\x00\x00', 'latin1')],
    ['the beginning of a picture', jpegFrame(800, 600).slice(0, 12)],
    ['a picture longer than a wall', jpegFrame(9000, 10)],
    ['a picture that says where it was taken', jpegFrame(800, 600, [cameraData()])],
  ])('%s is refused, whatever it calls itself', async (_what, bytes) => {
    const answer = await upload(await vehicle(), new Uint8Array(bytes));
    expect(answer.status).toBe(422);
    expect(problemPaths(answer)).toEqual(['photo']);
  });

  it('one too large, under another name, or at no place', async () => {
    const modelId = await vehicle();
    const large = new Uint8Array(MOST_PHOTO_BYTES + 1);
    expect((await upload(modelId, large)).status).toBe(413);
    expect((await upload(modelId, jpegFrame(8, 8), { type: 'image/png' })).status).toBe(415);
    expect((await upload(modelId, jpegFrame(8, 8), { place: 'boot' })).status).toBe(404);
    expect((await upload(uuidv7(), jpegFrame(8, 8))).status).toBe(404);
  });

  it('another one under an id that is taken', async () => {
    const modelId = await vehicle();
    const photoId = uuidv7();
    await upload(modelId, jpegFrame(8, 8), { photoId });
    expect((await upload(modelId, jpegFrame(9, 9), { photoId })).status).toBe(409);
  });

  it('one more than a place keeps', async () => {
    const modelId = await vehicle();
    for (let count = 0; count < MOST_PHOTOS; count += 1)
      expect((await upload(modelId, jpegFrame(8, 8))).status).toBe(200);
    expect(problemPaths(await upload(modelId, jpegFrame(8, 8)))).toEqual(['photo']);
  });

  it('a pin beside the picture, twice, or at a source of another car', async () => {
    const modelId = await vehicle();
    const photoId = uuidv7();
    await upload(modelId, jpegFrame(8, 8), { photoId });
    const pins = (...all: object[]): Promise<Given> =>
      visitor.put(`/photos/${photoId}`, { base: 1, caption: '', pins: all });
    expect(problemPaths(await pins({ ...PIN, x: 1.2 }))).toEqual(['pins.0.x']);
    expect(problemPaths(await pins(PIN, PIN))).toEqual(['pins']);
    const strange = await pins({ ...PIN, sourceId: 'dash/F99' });
    expect(problemPaths(strange)).toEqual(['pins.0.sourceId']);
  });

  it('nobody sees the photo of another shop, or without signing in', async () => {
    const modelId = await vehicle();
    const photoId = uuidv7();
    await upload(modelId, jpegFrame(8, 8), { photoId });
    const stranger = await server.visitor('nobody');
    expect((await stranger.get(`/photos/${photoId}`)).status).toBe(401);
    expect((await visitor.get(`/photos/${uuidv7()}`)).status).toBe(404);
  });
});
