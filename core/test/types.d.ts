declare module 'psychrolib' {
  const psychrolib: {
    SI: number;
    SetUnitSystem(system: number): void;
    GetSatVapPres(tempC: number): number;
    GetStandardAtmPressure(altitudeM: number): number;
  };
  export default psychrolib;
}
