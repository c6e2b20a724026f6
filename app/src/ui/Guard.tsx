import type { ErrorInfo, ReactNode } from 'react';
import { Component } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from './ActionButton';
import { SPACE } from './tokens';
import { Words } from './Words';

/** Props of {@link Guard}. */
export interface GuardProps {
  /** What is inside, for the sentence that stands in its place when it can't be shown. */
  readonly what: string;
  /** What may fail: its failure is shown in its place. */
  readonly children: ReactNode;
}

/** Keeps a fault of what is inside from taking everything around it along. */
export class Guard extends Component<GuardProps, { readonly failed: boolean }> {
  override state = { failed: false };

  static getDerivedStateFromError(): { failed: boolean } {
    return { failed: true };
  }

  override componentDidCatch(error: Error, info: ErrorInfo): void {
    console.error(`${this.props.what} could not be shown`, error, info.componentStack);
  }

  override render(): ReactNode {
    if (!this.state.failed) return this.props.children;
    return (
      <View style={styles.place} role="alert" testID="could-not-show">
        <Words kind="label">{this.props.what} could not be shown.</Words>
        <Words kind="small" soft>
          Nothing was lost. The rest of the application works on.
        </Words>
        <ActionButton label="Try again" onPress={() => this.setState({ failed: false })} />
      </View>
    );
  }
}

const styles = StyleSheet.create({
  place: { padding: SPACE.m, gap: SPACE.s, alignItems: 'flex-start' },
});
