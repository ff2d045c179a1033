import { planInstance, planByRule } from '/work/main/core/src/line/planner/planInstance'
import { USUAL_WEIGHTS } from '/work/main/core/src/line/planner/instance'
const wok4 = { cap: 4, phases: [{hands:true,a:40,b:20},{hands:false,a:0,b:0},{hands:true,a:10,b:0}] }
const dishes = [
 {id:'veg',base:'soy',allergens:['soy'],free:120,max:240,on:{wok:wok4},mods:{},split:0,uses:{}},
 {id:'nut',base:'curry',allergens:['peanut'],free:120,max:240,on:{wok:wok4},mods:{},split:0,uses:{}},
 {id:'kim',base:'plate',allergens:['egg'],free:180,max:360,on:{zone:{cap:3,phases:[{hands:true,a:30,b:0},{hands:false,a:90,b:0},{hands:true,a:30,b:0}]}},mods:{},split:0,uses:{}},
]
const raw = [{"id":"merge","hands":1,"on":["wok"],"tickets":[[0,300,"dine",[["veg",1]]],[40,300,"dine",[["veg",2]]]],"J":28.5},
{"id":"allergen","hands":1,"on":["wok"],"tickets":[[0,90,"dine",[["nut",2]]],[0,150,"dine",[["veg",1,"avoid peanut"]]]],"J":131.5},
{"id":"hold","hands":1,"on":["wok"],"tickets":[[0,900,"take",[["veg",2]]]],"J":59.5},
{"id":"hands","hands":1,"on":["wok","zone"],"tickets":[[0,300,"dine",[["kim",1],["nut",1]]]],"J":40}] as any[]
for (const r of raw) {
  const inst = { id:r.id, grid:5, now:0, hands:r.hands, boxExtra:180, weights: USUAL_WEIGHTS, setup:{wok:{base:10,other:20,wash:60},zone:{base:10,other:20,wash:60}},
   stations: r.on.map((k:string)=>({id:k,kind:k,from:0,down:[],last:null})), dishes,
   tickets: r.tickets.map(([at,due,kind,items]:any,i:number)=>({id:`t${i}`,at,due,kind,w:1,items:items.map(([d,n,av]:any,j:number)=>({id:`t${i}i${j}`,dish:d,n,mods:[],avoid:av?[av.split(' ')[1]]:[]}))})),
   stock:{}, frozen:[], told:[] }
  const t=Date.now()
  const p = planInstance(inst as any)
  console.log(r.id, r.J, p.objective, Date.now()-t,'ms', JSON.stringify(p.batches))
}
