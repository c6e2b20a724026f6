import { screen } from '@testing-library/react-native';
import { renderInApp } from '../../testing/render';
import { ToolScreen } from './ToolScreen';
import { TOOLS } from './tools';

jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: () => undefined, setParams: () => undefined }),
  useLocalSearchParams: () => ({}),
}));

it.each(['__proto__', 'constructor', 'toString', 'nothing', ''])(
  'the address /tools/%s shows all tools',
  (tool) => {
    renderInApp(<ToolScreen tool={tool} />);
    for (const { name } of TOOLS) expect(screen.getByText(name)).toBeTruthy();
  },
);
