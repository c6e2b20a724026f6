import type { ReactNode } from 'react';
import type { FieldProblem, ModelSummary } from '@lucky-thread/contract';
import { applies, decodeVin } from '@lucky-thread/core/vehicle';
import { StyleSheet, View } from 'react-native';
import { Caution } from '../../ui/Caution';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { JobDraft } from './newJob';
import { problemAt } from '../../ui/problemAt';
import { useToday } from '../../ui/useToday';
import { VinPhoto } from './VinPhoto';

/** Props of {@link VehicleDetails}. */
export interface VehicleDetailsProps {
  /** The vehicle model. */
  readonly model: ModelSummary;
  /** What was typed so far. */
  readonly draft: JobDraft;
  /** What is wrong with what was typed, with where. */
  readonly problems: readonly FieldProblem[];
  /** Called with what changed. */
  readonly onDraft: (draft: JobDraft) => void;
}

/** Year, trim, market, steering side and VIN of the car. */
export function VehicleDetails({ model, draft, problems, onDraft }: VehicleDetailsProps) {
  const year = Number(draft.year);
  const range = applies(
    { yearFrom: model.yearFrom, yearTo: model.yearTo, trims: [], markets: [] },
    { year, trim: draft.trim, market: draft.market },
  );
  const nowYear = useToday().getFullYear();
  const vin = draft.vin.trim() === '' ? undefined : decodeVin(draft.vin, { nowYear });
  const typeVin = (text: string): void => {
    const decoded = decodeVin(text, { nowYear });
    const decodedYear = decoded.ok ? decoded.value.modelYear : undefined;
    onDraft({
      ...draft,
      vin: text,
      // Only a year that the VIN fixes, and never over one that was typed.
      ...(decodedYear === undefined || draft.yearTyped ? {} : { year: String(decodedYear) }),
    });
  };
  return (
    <View style={styles.stack}>
      <Field
        label="VIN (optional)"
        testID="vin"
        value={draft.vin}
        problem={vin?.ok === false ? vin.problems.join(' ') : undefined}
        hint={
          vin?.ok === true
            ? [
                [
                  vin.value.region,
                  ...(vin.value.modelYear === undefined
                    ? []
                    : [`model year ${vin.value.modelYear}`]),
                ].join(', '),
                ...vin.value.warnings,
              ].join('. ')
            : 'Fills in the year where the VIN fixes it: cars of North America.'
        }
        onChange={typeVin}
      />
      <VinPhoto onVin={typeVin} />
      <Field
        label="Model year"
        testID="year"
        keyboard="number-pad"
        value={draft.year}
        problem={problemAt(problems, 'vehicle.year')}
        onChange={(text) => onDraft({ ...draft, year: text, yearTyped: true })}
      />
      {draft.year.length === 4 && range.match !== 'exact' && (
        <Caution testID="year-warning">
          {`Careful: ${range.reasons.join('; ')}. A car of the same name may be of another generation, with its fuse box elsewhere.`}
        </Caution>
      )}
      {model.trims.length > 0 && (
        <Labelled label="Trim">
          <Choice
            label="Trim"
            options={model.trims.map((trim) => ({ value: trim, label: trim }))}
            value={draft.trim}
            onChange={(trim) => onDraft({ ...draft, trim })}
          />
        </Labelled>
      )}
      {model.markets.length > 0 && (
        <Labelled label="Market">
          <Choice
            label="Market"
            options={model.markets.map((market) => ({ value: market, label: market }))}
            value={draft.market}
            onChange={(market) => onDraft({ ...draft, market })}
          />
        </Labelled>
      )}
      <Labelled label="Steering wheel">
        <Choice
          label="Steering side"
          options={model.steering.map((side) => ({
            value: side,
            label: side === 'left' ? 'On the left' : 'On the right',
          }))}
          value={draft.steering}
          onChange={(steering) => onDraft({ ...draft, steering })}
        />
      </Labelled>
      <Labelled label="One day">
        <Choice
          label="One day"
          testID="trace"
          options={[
            { value: 'stays', label: 'It stays in' },
            { value: 'out', label: 'Leased: leave no trace' },
          ]}
          value={draft.noTrace ? 'out' : 'stays'}
          onChange={(value) => onDraft({ ...draft, noTrace: value === 'out' })}
        />
      </Labelled>
    </View>
  );
}

function Labelled(props: { readonly label: string; readonly children: ReactNode }) {
  return (
    <View style={styles.labelled}>
      <Words kind="label" soft>
        {props.label}
      </Words>
      {props.children}
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.m },
  labelled: { gap: SPACE.xs },
});
