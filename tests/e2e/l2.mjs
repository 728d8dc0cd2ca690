import {page,shot,open,browser,B} from './look.mjs';
await open('Runa Castellane','Block'); await page.keyboard.press('a'); await page.waitForTimeout(1500); await shot('weeks');
await page.goto(B+'/roster'); await page.keyboard.press('m'); await page.waitForTimeout(25000); await shot('roster');
await open('Runa Castellane','Client'); await shot('client');
await open('Gerda Halvorsen','Bench'); await page.keyboard.press('e'); await page.waitForTimeout(300);
const t=page.getByLabel('Gym programme'); const v=await t.inputValue(); console.log(v); await t.fill(v.split('\n').slice(0,4).join('\n')); await page.getByRole('button',{name:'Rebuild for this home'}).click(); await page.waitForTimeout(1200); await page.keyboard.press('s'); await page.waitForTimeout(800); await shot('gone');
await browser.close();
