import { ValidateBy } from 'class-validator';

interface Depending {
  readonly onlyWith?: unknown;
  readonly onlyWithout?: unknown;
}

/** Every lead that depends on an option names one that the same device has. */
export function KnownOptions(): PropertyDecorator {
  return ValidateBy({
    name: 'knownOptions',
    validator: {
      validate: (leads: unknown, args) => {
        const { options } = (args?.object ?? {}) as { options?: unknown };
        const known = (Array.isArray(options) ? options : []).map(
          (one: { readonly id?: unknown } | null) => one?.id,
        );
        return (Array.isArray(leads) ? leads : []).every((lead: Depending | null) =>
          [lead?.onlyWith, lead?.onlyWithout].every((id) => id === undefined || known.includes(id)),
        );
      },
      defaultMessage: () => 'a lead depends on an option that the device does not have',
    },
  });
}
