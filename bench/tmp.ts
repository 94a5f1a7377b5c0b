import { ours, solver } from './odex';
import { HeatedPot } from '../core/src/pot/cook';
import { pots } from '../core/src/pot/profile';
import { PotState } from '../core/src/pot/state';
import { step } from '../core/src/pot/step';
import { waterLoad } from '../core/test/helpers/loads';
const pot=pots[0]!; const load=waterLoad(1,20); const setPa=75000; const offS=2700;
const thr=(g:number,l:number)=>pot.powerW*Math.min(1,Math.max(0,(setPa+pot.bandPa-g-pot.leadPaPerK*Math.max(0,l))/(2*pot.bandPa)));
const pinS = Math.round(new HeatedPot(pot, 0, load, 'high', 0.25).pinUpS!);
function adaptive(first:number,big:number, fromC:number, after:number){ const s=new PotState(pot,0,load); const out=new Float64Array(3600); let at=0,n=0; let prev=s.tempC; out[0]=prev;
 while(at<3600){ const calm = (at>=first && !s.pinUp && s.tempC<fromC) || (at>pinS+after && at<offS-big) || at>offS+after;
  let dt = calm?big:1; dt=Math.min(dt,3600-at); if(at<pinS) dt=Math.min(dt,pinS-at); if(at<offS) dt=Math.min(dt,offS-at);
  s.pinUp = at>=pinS; prev=s.tempC; step(s,dt, at>=offS?0:at>=pinS?thr(s.gauge,s.baseC-s.tempC):pot.powerW); n++;
  for(let k=1;k<=dt&&at+k<3600;k++) out[at+k]=prev+(s.tempC-prev)*k/dt; at+=dt; }
 return {out,n}; }
const exact=ours(0.02);
const worst=(a:Float64Array)=>{let m=0,k=0;a.forEach((x,i)=>{const d=Math.abs(x-exact[i]!);if(d>m){m=d;k=i;}});return m.toFixed(4)+'@'+k;};
console.log('pin',pinS,'ours1',worst(ours()));
for(const big of [2,4,5,8]) for(const c of [70,85,93]) for (const after of [30,120]) { const r=adaptive(120,big,c,after); console.log(big,c,after,worst(r.out),r.n);} 
