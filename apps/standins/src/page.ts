import type { StandIn } from './devices/defineStandIn.ts'

/** A page to turn the knobs by hand, for trying out how the shop's screens take a device that fails. */
export const pageOf = (devices: Readonly<Record<string, Pick<StandIn, 'label' | 'names'>>>) => `<!doctype html>
<html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Stand-in devices</title>
<style>
body{font:18px/1.5 system-ui,sans-serif;max-width:44rem;margin:2rem auto;padding:0 1rem;background:#f7f6f2;color:#1b2733}
fieldset{border:0;border-top:1px solid #d8d6ce;margin:1rem 0;padding:.5rem 0;display:flex;gap:1rem;flex-wrap:wrap}
legend{font-weight:700}label{display:block;font-size:15px}input,select{font:inherit;min-height:2.6rem;width:9rem}
</style>
<h1>Stand-in devices</h1>
<p>They take the place of a room sensor, an infra-red thermometer, a weather forecast and a plotter (<a href="/plotter/page">what it has cut</a>). A change counts at once.</p>
<form id="form"></form><p id="said" role="status"></p>
<script>
const devices=${JSON.stringify(Object.fromEntries(Object.entries(devices).map(([name, { label, names }]) => [name, { label, names }])))}
const form=document.getElementById('form'),said=document.getElementById('said')
async function show(){const set=await (await fetch('/knobs')).json()
form.innerHTML=Object.entries(set).map(([device,values])=>'<fieldset><legend>'+devices[device].label+'</legend>'+Object.entries(values).map(([key,value])=>'<label>'+(devices[device].names[key]??key)+'<br>'+(key==='fault'?'<select name="'+device+'.fault">'+['none','late','silent','nonsense'].map(f=>'<option'+(f===value?' selected':'')+'>'+f+'</option>').join('')+'</select>':'<input type="number" step="0.1" name="'+device+'.'+key+'" value="'+value+'">')+'</label>').join('')+'</fieldset>').join('')}
form.addEventListener('change',async()=>{const set={}
for(const [name,value] of new FormData(form)){const [device,key]=name.split('.');(set[device]??={})[key]=key==='fault'?value:Number(value)}
const answer=await fetch('/knobs',{method:'PUT',headers:{'content-type':'application/json'},body:JSON.stringify(set)})
said.textContent=answer.ok?'Set.':(await answer.json()).sentence})
show()
</script></html>`
