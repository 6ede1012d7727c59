import loadHighs from "highs";
import { planInstances } from "./bench/plan-instances";
import { prove } from "./core/series/prove";
const highs=await loadHighs();
for (const which of ["30 minutes","18 targets"]) { const [name,input]=planInstances().find(([n])=>n.startsWith(which))!; console.log(name, prove(highs,input,{seconds:600,seed:1}));}
