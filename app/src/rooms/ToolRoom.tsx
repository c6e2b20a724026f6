import { useLocalSearchParams } from 'expo-router';
import { ToolScreen } from '../features/tools/ToolScreen';

/** One tool; its inputs are the rest of the address. */
export function ToolRoom() {
  const { tool } = useLocalSearchParams<{ tool: string }>();
  return <ToolScreen tool={tool} />;
}
