import { chromium } from '@playwright/test';
import { execSync } from 'node:child_process';
const extra=(process.argv[2]??'').split(',').filter(Boolean);
const b = await chromium.launch({executablePath:'/usr/bin/chromium',args:['--headless','--no-sandbox','--disable-gpu','--disable-quic','--no-first-run',...extra]});
const c = await b.newContext({viewport:{width:1280,height:800},baseURL:'http://localhost:8480',reducedMotion:process.argv[3]??null}); const p = await c.newPage();
const cpu=()=>execSync("ps -C chromium -o times=,args= | awk '{t=$1; type=\"browser\"; if (match($0,/--type=[a-z-]+/)) type=substr($0,RSTART+7,RLENGTH-7); s[type]+=t} END {for (k in s) printf \"%s=%d \", k, s[k]}'").toString();
await p.goto('/');
await p.getByLabel('Name').fill('maren');await p.getByLabel('Password').fill('quillhaven demo');await p.getByRole('button',{name:'Sign in'}).click();
await p.getByRole('region',{name:'Conversations'}).getByRole('link').first().waitFor();
console.log('signed in',cpu());
const t=Date.now();await p.goto('/');await p.getByRole('region',{name:'Conversations'}).getByRole('link').first().waitFor();console.log('reload ms',Date.now()-t);
await p.waitForTimeout(1500);
console.log('before idle',cpu());
await p.waitForTimeout(10000);
console.log('after 10s idle',cpu());
const t1=Date.now();await p.keyboard.press('ArrowDown');await p.getByRole('region',{name:'Script'}).waitFor();console.log('open ms',Date.now()-t1);
for(let i=0;i<10;i++){await p.keyboard.press('ArrowDown');await p.waitForTimeout(300)}
console.log('after 10 arrows',cpu());
await b.close();
