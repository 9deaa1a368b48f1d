// The reference package ships no types; these are the parts the tests use.
declare module 'psychrolib' {
  const psychrolib: {
    readonly SI: number;
    SetUnitSystem(system: number): void;
    GetTDewPointFromRelHum(dryBulbC: number, relativeHumidity: number): number;
  };
  export default psychrolib;
}
