export { SimulatedCooker, type CookerSetting, type Signal } from './cooker';
export { debrief, drawFaults, Rig, type Debrief, type Noticed } from './practice';
export * from './protocol';
export { runSimulatedDevices } from './run';
