import { planInstances } from "./bench/plan-instances";
import { searchSpace } from "./core/series/search-space";
import { anneal } from "./core/series/anneal";
const b=JSON.parse((await import("node:fs")).readFileSync("bench/results/plan-bounds.json","utf8")); b["30 minutes at the table"]=92.42;
const cpu=()=>{const u=process.cpuUsage();return (u.user+u.system)/1e3};
const list=(process.env.I??"30 minutes;18 targets;the example").split(";");
const warm=Number(process.env.WARM??0.08), cold=Number(process.env.COLD??0.004);
const out:string[]=[];
const all=planInstances();
for (const which of list) { const [name,input]=all.find(([n])=>n.startsWith(which))!; const space=searchSpace(input);
 const moves=which.startsWith("30")?45000:which.startsWith("18")?26000:30000; const scores:number[]=[]; const t=cpu();
 for(let seed=1;seed<=6;seed++){ let w=0; anneal(space,{seed,moves,warm,cold},(f)=>{w=f.worth}); 
  scores.push(100*(w-space.items.filter(i=>i.complaint).reduce((s,i)=>s+3*i.third,0))/b[name]); }
 scores.sort((a,b)=>a-b); out.push(`${which} med ${((scores[2]!+scores[3]!)/2).toFixed(2)} min ${scores[0]!.toFixed(2)} max ${scores[5]!.toFixed(2)} ${((cpu()-t)/6000).toFixed(2)}s`);}
console.log(process.env.W??"", warm, cold, out.join(" | "));
