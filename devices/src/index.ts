export { SimulatedCooker, type CookerSetting, type Signal } from './cooker';
export { bell, stream } from './noise';
export { debrief } from './debrief';
export { drawFaults } from './faults';
export { Rig } from './rig';
export * from './protocol';
export { runSimulatedDevices } from './run';
