// throwaway
import { chromium } from '@playwright/test';
const [,, path, name, w='1280', h='800', ...acts] = process.argv;
const b = await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox','--disable-gpu']});
const p = await (await b.newContext({viewport:{width:+w,height:+h}})).newPage();
p.on('pageerror',e=>console.log('ERR',e.message)); p.on('console',m=>m.type()==='error'&&console.log('CON',m.text()));
await p.goto('http://127.0.0.1:5391'+path);
await p.waitForTimeout(2500);
for (const a of acts) { const [k,...r]=a.split(':'); const v=r.join(':');
 if(k==='t') await p.getByText(v).first().click();
 if(k==='b') await p.getByRole('button',{name:v}).first().click();
 if(k==='be') await p.getByRole('button',{name:v,exact:true}).first().click();
 if(k==='r') await p.getByRole('radio',{name:v}).first().click();
 if(k==='m') await p.getByRole('menuitem',{name:v}).first().click();
 if(k==='k') await p.keyboard.press(v);
 if(k==='ty') await p.keyboard.type(v);
 if(k==='w') await p.waitForTimeout(+v);
 if(k==='sc') await p.evaluate(y=>scrollTo(0,y),+v);
 if(k==='s') await p.evaluate(s=>{document.documentElement.dataset.surround=s},v);
 if(k==='js') console.log(await p.evaluate(v));
 await p.waitForTimeout(400);}
await p.screenshot({path:'/tmp/shots/'+name+'.png'});
await b.close();
