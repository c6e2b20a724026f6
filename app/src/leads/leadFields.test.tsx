import { fireEvent, screen } from '@testing-library/react-native';
import type { FeedInput } from '@lucky-thread/contract';
import { useState } from 'react';
import { renderInApp } from '../testing/render';
import { LeadFields } from './LeadFields';
import { withRole } from './newLead';

const DOOR: FeedInput = { id: 'd', name: 'Door', role: 'door', currentA: 0.05 };

function Host({ seen, start = DOOR }: { seen: FeedInput[]; start?: FeedInput }) {
  const [lead, setLead] = useState(start);
  return (
    <LeadFields
      lead={lead}
      index={0}
      problemOf={(field) => (field === 'setAt' ? 'say where' : undefined)}
      onLead={(next) => {
        seen.push(next);
        setLead(next);
      }}
    />
  );
}

describe('a lead whose polarity can be chosen', () => {
  it('is asked where it is set, and keeps nothing once the words are gone', () => {
    const seen: FeedInput[] = [];
    renderInApp(<Host seen={seen} />);
    expect(screen.queryByTestId('set-at-0')).toBeNull();
    fireEvent.press(screen.getByTestId('polarity-0-set'));
    fireEvent.changeText(screen.getByTestId('set-at-0'), 'jumper J2');
    fireEvent.changeText(screen.getByTestId('set-at-0'), '');
    expect(seen.map(({ polarity, setAt }) => [polarity, setAt])).toEqual([
      ['set', undefined],
      ['set', 'jumper J2'],
      ['set', undefined],
    ]);
    expect(Object.keys(seen.at(-1) ?? {})).not.toContain('setAt');
  });
});

describe('a speaker’s lead', () => {
  it('says which speaker it drives, and has neither polarity nor direction to choose', () => {
    const seen: FeedInput[] = [];
    renderInApp(<Host seen={seen} start={withRole(DOOR, 'speakerPlus')} />);
    expect(screen.queryByTestId('polarity-0')).toBeNull();
    expect(screen.queryByTestId('direction-0-in')).toBeNull();
    fireEvent.press(screen.getByTestId('speaker-0-rear left'));
    expect(seen).toEqual([
      { ...DOOR, role: 'speakerPlus', speaker: 'rear left', direction: 'out' },
    ]);
  });

  it('becomes another lead without its speaker, and keeps it from end to end', () => {
    const minus = withRole(withRole(DOOR, 'speakerPlus'), 'speakerMinus');
    expect(minus).toEqual({
      ...{ ...DOOR, role: 'speakerMinus', speaker: 'front left', direction: 'out' },
    });
    expect(withRole(minus, 'door').speaker).toBeUndefined();
  });
});
