import { ToolsScreen } from '../../../features/tools/ToolsScreen';

export default ToolsScreen;
