/** Stands in for the icon font in unit tests, which would load asynchronously and warn. */
export default function IconStub(): null {
  return null;
}
