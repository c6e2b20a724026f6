import type {
  CatalogueDevice,
  CatalogueLeadInput,
  DeviceOptionInput,
} from '@lucky-thread/contract';
import { DEVICE_FILE, DeviceFileInput, validate } from '@lucky-thread/contract';
import { newId, newLead } from '../../leads/newLead';

/** A device of the catalogue as it is being changed. */
export interface DeviceDraft {
  /** What to know of it when it is picked. */
  readonly note: string;
  /** The device. */
  readonly device: CatalogueDevice;
}

/** A device to begin with: one constant feed. */
export function newDeviceDraft(): DeviceDraft {
  return { note: '', device: { name: '', feeds: [newLead('constant')] } };
}

/** When a lead is there: always, with an option, or without one. */
export type Presence =
  | { readonly when: 'always' }
  | {
      readonly when: 'with' | 'without';
      /** Id of the option. */
      readonly option: string;
    };

/** When a lead is there. */
export function presenceOf({ onlyWith, onlyWithout }: CatalogueLeadInput): Presence {
  if (onlyWith !== undefined) return { when: 'with', option: onlyWith };
  return onlyWithout === undefined ? { when: 'always' } : { when: 'without', option: onlyWithout };
}

/** A lead that is there at other times. */
export function withPresence(lead: CatalogueLeadInput, presence: Presence): CatalogueLeadInput {
  const { onlyWith: _with, onlyWithout: _without, ...always } = lead;
  if (presence.when === 'always') return always;
  return { ...always, [presence.when === 'with' ? 'onlyWith' : 'onlyWithout']: presence.option };
}

/** A device with one of its options changed, or with one more. */
export function withOption(device: CatalogueDevice, option: DeviceOptionInput): CatalogueDevice {
  const options = device.options ?? [];
  const isKnown = options.some(({ id }) => id === option.id);
  return {
    ...device,
    options: isKnown
      ? options.map((one) => (one.id === option.id ? option : one))
      : [...options, option],
  };
}

/** An option to begin with. */
export function newOption(): DeviceOptionInput {
  return { id: newId('option'), name: '' };
}

/** A device without an option: leads that hung on it are always there. */
export function withoutOption(device: CatalogueDevice, id: string): CatalogueDevice {
  const { options = [], ...rest } = device;
  const left = options.filter((one) => one.id !== id);
  return {
    ...rest,
    ...(left.length === 0 ? {} : { options: left }),
    feeds: device.feeds.map((lead) =>
      lead.onlyWith === id || lead.onlyWithout === id
        ? withPresence(lead, { when: 'always' })
        : lead,
    ),
  };
}

/** What keeping a draft sends, or what is still wrong with it. */
export function deviceRequest({ note, device }: DeviceDraft) {
  const body = {
    kind: DEVICE_FILE,
    version: 1 as const,
    note: note.trim() === '' ? 'Typed in by the shop.' : note.trim(),
    device,
  };
  const result = validate(DeviceFileInput, body);
  return result.ok ? { ok: true as const, request: body as DeviceFileInput } : result;
}
