import { planInstances } from "./bench/plan-instances";
import { searchSpace } from "./core/series/search-space";
import { solve } from "./core/series/solve";
const cpu=()=>{const u=process.cpuUsage();return (u.user+u.system)/1e3};
for (let round=0; round<2; round++) for (const [name, input] of planInstances()) {
  const t0=cpu(); searchSpace({...input}); const t1=cpu();
  solve({...input},{seed:1,moves:0}); const t2=cpu();
  solve({...input},{seed:1,moves:20000}); const t3=cpu();
  console.log(round,name, (t1-t0).toFixed(0), (t2-t1).toFixed(0), "pace", (20000/((t3-t2)-(t2-t1))).toFixed(1)+"k/s");
}
