export { SimulatedCooker, type CookerSetting, type Signal } from './cooker';
export { bell, stream } from './noise';
export { debrief, drawFaults, Rig } from './practice';
export * from './protocol';
export { runSimulatedDevices } from './run';
