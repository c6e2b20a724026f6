import { Button, Text } from 'react-native-paper';

/** One text, one button. */
export default function Index() {
  return (
    <>
      <Text>bare</Text>
      <Button>press</Button>
    </>
  );
}
