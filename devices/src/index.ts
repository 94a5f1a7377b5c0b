export { SimulatedCooker, type CookerSetting, type Signal } from './cooker';
export { debrief, drawFaults, Rig } from './practice';
export * from './protocol';
export { runSimulatedDevices } from './run';
