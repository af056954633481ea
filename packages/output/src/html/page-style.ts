/** How the page looks: slides one below the other; one at a time, all at once, or facing their notes where its script runs. */

/** Letters stand as they were measured. */
export const TEXT_STYLE = 'svg text{font-variant-ligatures:none;text-rendering:geometricPrecision;white-space:pre}';

export const pageStyle = (width: number, height: number): string => `
:root{color-scheme:light dark;--ground:#1b1f22;--ink:#f2efe6;--soft:#b9bdb8;--line:#4a5155;--card:#262b2f}
*{box-sizing:border-box}
html,body{margin:0;background:var(--ground);color:var(--ink);font:16px/1.5 system-ui,sans-serif}
svg{display:block;width:100%;height:auto;direction:ltr}
${TEXT_STYLE}
svg a:focus-visible{outline:3px solid #ffb000}
.store{position:absolute;width:0;height:0;overflow:hidden}
.slide{max-width:1200px;margin:0 auto 24px;outline:none}
.notes{padding:10px 4px 0;max-width:70ch}
.notes p{margin:0 0 .6em;overflow-wrap:anywhere}
.go{display:none}
nav,.clock,.up-next,.no-notes{display:none}
button{font:inherit;color:inherit;background:var(--card);border:1px solid var(--line);border-radius:3px;padding:5px 12px;cursor:pointer}
button:hover{border-color:var(--ink)}
button:focus-visible,.go:focus-visible,.notes:focus-visible{outline:3px solid #ffb000;outline-offset:1px}
button[disabled]{opacity:.45;cursor:default}
.runs nav{display:flex;flex-wrap:wrap;gap:6px 8px;align-items:center;position:fixed;inset:auto 0 0 0;padding:8px 14px;background:var(--ground);border-top:1px solid var(--line);z-index:2}
.runs nav .where{margin-inline-end:auto;color:var(--soft);font-variant-numeric:tabular-nums}
.one main{position:fixed;inset:0 0 52px 0;display:grid;place-items:center}
.one .slide{display:none;margin:0;max-width:none;width:min(100vw,calc((100vh - 52px)*${width / height}))}
.one .slide.now{display:block}
.one .notes{display:none}
.one .slide.now{z-index:1}
.one [data-step].later{visibility:hidden}
@media (prefers-reduced-motion:no-preference){
.one .slide.now[data-comes=fade]{animation:fade .35s ease-out}
.one .slide.now[data-comes=push]{animation:push .35s ease-out}
.one .slide.now[data-comes=wipe]{animation:wipe .35s linear}
}
@keyframes fade{from{opacity:0}}
@keyframes push{from{transform:translateX(100vw)}}
@keyframes wipe{from{clip-path:inset(0 0 0 100%)}to{clip-path:inset(0)}}
.bare.one main{inset:0}
.bare.one .slide{width:min(100vw,calc(100vh*${width / height}))}
.bare nav{display:none}
.bare{cursor:none}
.all main{display:grid;grid-template-columns:repeat(auto-fill,minmax(min(270px,100%),1fr));gap:18px;padding:18px 18px 70px}
.all .slide{margin:0;position:relative}
.all .slide.now>svg{outline:4px solid #ffb000}
.all .notes{display:none}
.all .go{display:block;position:absolute;inset:0;color:transparent;overflow:hidden}
.all svg a{pointer-events:none}
.speaker main{display:grid;grid-template-columns:minmax(0,1.15fr) minmax(0,1fr);grid-template-rows:auto auto minmax(0,1fr);gap:10px 28px;position:fixed;inset:0 0 52px 0;padding:18px 28px}
.speaker .clock{display:flex;gap:14px;align-items:baseline;grid-area:1/1;font-variant-numeric:tabular-nums}
.speaker .clock time{font-size:28px}
.speaker .slide{display:none}
.speaker .slide.now{display:contents}
.speaker .slide.now>svg{grid-area:1/2/3/3}
.speaker .slide.now>.notes{grid-area:2/1/4/2;overflow-y:auto;font-size:24px;max-width:none;padding:0}
.speaker .up-next{display:block;grid-area:3/2;color:var(--soft);min-height:0;margin:0}
.speaker .slide.then{display:block;grid-area:3/2;margin:34px 0 0;width:58%;max-width:none;align-self:start}
.speaker .slide.then>.notes{display:none}
.speaker .no-notes.seen{display:block;grid-area:2/1;color:var(--soft)}
@media (max-width:760px){.speaker main{grid-template-columns:minmax(0,1fr);grid-template-rows:auto auto auto minmax(0,1fr)}.speaker .slide.now>svg{grid-area:2/1}.speaker .slide.now>.notes{grid-area:3/1/5/2}.speaker .slide.then,.speaker .up-next{display:none}.speaker .no-notes.seen{grid-area:3/1}}
.screen{display:none;position:fixed;inset:0;z-index:3}
.dark .screen{display:block;background:#000}
.light .screen{display:block;background:#fff}
.speaker .screen{display:none}
@page{size:${width}pt ${height}pt;margin:0}
@media print{
html,body{background:#fff;color:#000}
nav,.screen,.clock,.up-next,.no-notes.seen,.go{display:none!important}
main{display:block!important;position:static!important;padding:0!important}
.slide,.one .slide,.speaker .slide,.speaker .slide.now{display:block!important;width:auto!important;max-width:none;margin:0!important;break-after:page;break-inside:avoid}
.slide svg{width:100vw}
.notes{display:none}
[data-step].later{visibility:visible!important}
.with-notes .notes{display:block;padding:30px;font-size:16px;break-before:page}
}
`;
