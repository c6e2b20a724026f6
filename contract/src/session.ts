import { IsString, Length } from 'class-validator';

/** Who signs in. */
export class SignInRequest {
  /** Login name. */
  @IsString()
  @Length(1, 60, { message: 'give the login, up to 60 characters' })
  login!: string;

  /** Password in clear; hashed at once by the server. */
  @IsString()
  @Length(1, 200, { message: 'give the password' })
  password!: string;
}

/** Roles in a shop. */
export const USER_ROLES = ['installer', 'lead'] as const;
/** One role. */
export type UserRole = (typeof USER_ROLES)[number];

/** Who is signed in. */
export interface UserView {
  /** UUIDv7. */
  readonly id: string;
  /** As others see them. */
  readonly name: string;
  /** What they may do. */
  readonly role: UserRole;
  /** Their shop. */
  readonly shopName: string;
}

/** A demo account that the sign-in screen may offer. */
export interface DemoAccount {
  /** To be typed at the door. */
  readonly login: string;
  /** No secret: it opens the demo alone. */
  readonly password: string;
  /** Whom it enters as. */
  readonly name: string;
}

/** The answer to "who am I". */
export interface SessionView {
  /** Null: nobody is signed in. */
  readonly user: UserView | null;
  /** Offered in demo mode only. */
  readonly demoAccounts: readonly DemoAccount[];
}
