import type { ShopSettings } from '@lucky-thread/contract';
import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import type { Schools } from '@lucky-thread/core/choose';
import { SCHOOL_CHOICES } from '@lucky-thread/core/choose';
import { CONDUCTOR_SIZES, INSULATIONS_C } from '@lucky-thread/core/size';
import { StyleSheet, View } from 'react-native';
import { problemOf } from '../../store/problemText';
import { useShop } from '../../store/shown';
import { useShopCommand } from '../../store/useShopCommand';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Choice } from '../../ui/Choice';
import { Loading } from '../../ui/States';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { BASES_V, DROP_LIMITS } from '../../sizing/choices';

/** Fuse ratings that a van may hold, A. */
const VAN_FUSES_A = [1, 2, 3, 4, 5, 7.5, 10, 15, 20, 25, 30] as const;
const VAN_LEAST_MM2 = 0.5;

/** How the shop works: its schools with what each trades away, what it sizes with, and what is in the van. */
export function ShopWays() {
  const shop = useShop();
  const [update, { busy, outcome, said }] = useShopCommand('shop');
  const error = outcome?.kind === 'refused' ? outcome.error : undefined;
  if (shop.data === undefined)
    return shop.isError ? (
      <Caution>The shop’s ways could not be read.</Caution>
    ) : (
      <Loading what="the shop’s ways" />
    );
  const { settings, version } = shop.data;
  const change = (changed: Partial<ShopSettings>): void =>
    void update({ version, settings: { ...settings, ...changed } });
  return (
    <View style={styles.stack} testID="shop-ways" aria-busy={busy}>
      {said !== undefined && (
        <Caution testID="shop-problem">
          {problemOf(error)?.type === 'stale'
            ? 'Somebody else changed the shop’s ways meanwhile. They are shown as they are now.'
            : said}
        </Caution>
      )}
      <Words kind="title">How we work</Words>
      {(Object.keys(SCHOOL_CHOICES) as (keyof Schools)[]).map((key) => (
        <School
          key={key}
          of={key}
          schools={settings.schools}
          onSchools={(schools) => change({ schools })}
        />
      ))}
      <Card>
        <Words kind="heading">Sizing</Words>
        <Words kind="label">Per cent of</Words>
        <Choice
          label="Per cent of"
          even
          testID="shop-basis"
          options={BASES_V.map((volts) => ({
            value: String(volts),
            label: `${volts.toFixed(1)} V`,
          }))}
          value={String(settings.sizing.systemV)}
          onChange={(volts) => change({ sizing: { ...settings.sizing, systemV: Number(volts) } })}
        />
        <Words kind="label">Drop at most</Words>
        <Choice
          label="Drop at most"
          even
          testID="shop-limit"
          options={DROP_LIMITS.map((limit) => ({ value: String(limit), label: `${limit} %` }))}
          value={String(settings.sizing.dropLimitPercent)}
          onChange={(limit) =>
            change({ sizing: { ...settings.sizing, dropLimitPercent: Number(limit) } })
          }
        />
        <Words kind="label">Insulation of our wire</Words>
        <Choice
          label="Insulation of our wire"
          even
          testID="shop-insulation"
          options={INSULATIONS_C.map((one) => ({ value: String(one), label: `${one} °C` }))}
          value={String(settings.sizing.insulation)}
          onChange={(one) =>
            change({
              sizing: {
                ...settings.sizing,
                insulation:
                  INSULATIONS_C.find((class_) => String(class_) === one) ??
                  DEFAULT_SETTINGS.sizing.insulation,
              },
            })
          }
        />
      </Card>
      <Van van={settings.van} onVan={(van) => change({ van })} />
    </View>
  );
}

function School<Key extends keyof Schools>(props: {
  readonly of: Key;
  readonly schools: ShopSettings['schools'];
  readonly onSchools: (schools: ShopSettings['schools']) => void;
}) {
  const { title, choices } = SCHOOL_CHOICES[props.of];
  const now = props.schools[props.of];
  return (
    <Card testID={`school-${props.of}`}>
      <Words kind="heading">{title}</Words>
      <Choice
        label={title}
        even
        testID={`school-${props.of}`}
        options={choices.map(({ value, label }) => ({ value, label }))}
        value={now}
        onChange={(value) => props.onSchools({ ...props.schools, [props.of]: value })}
      />
      <Words kind="small" soft>
        {choices.find(({ value }) => value === now)?.trade ?? ''}
      </Words>
    </Card>
  );
}

function Van(props: {
  readonly van: ShopSettings['van'];
  readonly onVan: (van: ShopSettings['van']) => void;
}) {
  const { van, onVan } = props;
  return (
    <Card testID="van">
      <Words kind="heading">In the van</Words>
      <Choice
        label="Sized from"
        even
        testID="van-only"
        options={[
          { value: 'all', label: 'Size from everything' },
          { value: 'van', label: 'From the van alone' },
        ]}
        value={van.only ? 'van' : 'all'}
        onChange={(value) => onVan({ ...van, only: value === 'van' })}
      />
      <Words kind="label">Wire</Words>
      <View style={styles.wrap}>
        {CONDUCTOR_SIZES.filter((size) => size.areaMm2 >= VAN_LEAST_MM2).map(({ name }) => (
          <Held
            key={name}
            label={name}
            held={van.conductors.includes(name)}
            onHeld={() => onVan({ ...van, conductors: turned(van.conductors, name) })}
          />
        ))}
      </View>
      <Words kind="label">Fuses</Words>
      <View style={styles.wrap}>
        {VAN_FUSES_A.map((rating) => (
          <Held
            key={rating}
            label={`${rating} A`}
            held={van.fusesA.includes(rating)}
            onHeld={() => onVan({ ...van, fusesA: turned(van.fusesA, rating) })}
          />
        ))}
      </View>
    </Card>
  );
}

function Held(props: {
  readonly label: string;
  readonly held: boolean;
  readonly onHeld: () => void;
}) {
  return (
    <ActionButton
      label={`${props.held ? '☒' : '☐'} ${props.label}`}
      testID={`held-${props.label}`}
      onPress={props.onHeld}
    />
  );
}

function turned<T>(list: readonly T[], one: T): T[] {
  return list.includes(one) ? list.filter((other) => other !== one) : [...list, one];
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.m },
  wrap: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs },
});
