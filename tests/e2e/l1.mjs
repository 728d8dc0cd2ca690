import {page,shot,open,browser} from './look.mjs';
await open('Runa Castellane','Bench'); await shot('bench');
await page.keyboard.press('h'); await page.waitForTimeout(800); await page.locator('aside').evaluate(e=>e.scrollTo(0,99999)); await shot('bench-history');
await open('Runa Castellane','Log'); await page.getByText('How it came here').first().click(); await page.waitForTimeout(600); await shot('log');
await page.getByRole('link',{name:'Continuity'}).click(); await page.waitForTimeout(600); await shot('continuity');
await browser.close();
