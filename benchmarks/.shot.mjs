import { chromium } from '@playwright/test';
const [,, base, out, path, w='1280', h='800', theme='light', full=''] = process.argv;
const browser = await chromium.launch({ executablePath:'/usr/bin/chromium', args:['--no-sandbox','--disable-gpu','--disable-quic','--no-first-run','--disable-background-networking','--disable-component-update','--disable-sync','--disable-dev-shm-usage']});
const page = await browser.newPage({ viewport:{width:+w,height:+h}, colorScheme: theme });
await page.goto(`${base}/#/sign-in`);
await page.getByLabel('E-mail address').fill('demo@linden-hollow.example');
await page.getByLabel('Password').fill('linden hollow');
await page.getByRole('button',{name:'Sign in'}).click();
const a = await page.getByRole('link',{name:'Linden Hollow',exact:true}).getAttribute('href');
await page.goto(`${base}/${a}/${path}`);
await page.waitForTimeout(1200);
if (process.env.CLICK) { await page.getByRole('link',{name:process.env.CLICK}).first().click(); await page.waitForTimeout(900); }
if (process.env.SCROLL) { await page.getByText(process.env.SCROLL,{exact:true}).last().scrollIntoViewIfNeeded(); await page.evaluate((y)=>document.scrollingElement.scrollBy(0,y), +(process.env.BY??300)); await page.waitForTimeout(500);}
await page.screenshot({path: out, fullPage: full==='full'});
await browser.close();
