import {page,shot,open,browser,B} from './look.mjs';
await page.goto(B+'/roster'); await page.waitForTimeout(500); await page.getByRole('button',{name:'Move everybody'}).click(); await page.waitForTimeout(20000); await shot('roster');
await page.goto(B+'/practice'); await page.waitForTimeout(500); await page.locator('text=Days begin').scrollIntoViewIfNeeded(); await shot('practice');
await browser.close();
