/** What word processors put on the clipboard, and what is to stand in the text after it. */
export interface Paste {
  readonly name: string;
  readonly html: string;
  readonly becomes: string;
}

/** A point as a word processor of the desk writes it: a paragraph with its sign in it. */
const point = (level: number, sign: string, words: string, list = 'l0'): string =>
  `<p class=MsoListParagraphCxSpMiddle style='margin-left:${level * 36}pt;mso-add-space:auto;` +
  `text-indent:-18.0pt;mso-list:${list} level${level} lfo1'><![if !supportLists]><span style='font-family:Symbol;` +
  `mso-fareast-font-family:Symbol'><span style='mso-list:Ignore'>${sign}<span style='font:7.0pt "Times New Roman"'>` +
  `&nbsp;&nbsp;&nbsp;&nbsp; </span></span></span><![endif]>${words}<o:p></o:p></p>`;

/** The frame around what is copied there. */
const desk = (html: string): string =>
  `<html xmlns:o="urn:schemas-microsoft-com:office:office"><head><meta name=Generator content="a word processor">` +
  `<style><!-- p.MsoNormal {margin:0cm; font-size:12.0pt} --></style></head><body lang=EN-GB>` +
  `<!--StartFragment-->${html}<!--EndFragment--></body></html>`;

/** A point as a word processor in the browser writes it: alone in its list, with its level. */
const alone = (level: number, words: string, kind = 'ul'): string =>
  `<div class="ListContainerWrapper"><${kind} role="list"><li data-leveltext="" data-listid="3" data-aria-posinset="1" ` +
  `data-aria-level="${level}" role="listitem"><p class="Paragraph"><span class="TextRun">${words}</span>` +
  `<span class="EOP">&nbsp;</span></p></li></${kind}></div>`;

/** The frame of another one in the browser. */
const shared = (html: string): string =>
  `<meta charset='utf-8'><b style="font-weight:normal;" id="internal-guid-1">${html}</b>`;
const run = (words: string, style = ''): string =>
  `<span style="font-size:11pt;font-family:Arial,sans-serif;color:#000000;font-weight:400;font-style:normal;` +
  `text-decoration:none;vertical-align:baseline;white-space:pre-wrap;${style}">${words}</span>`;
const item = (level: number, words: string): string =>
  `<li dir="ltr" style="list-style-type:disc;font-weight:400" aria-level="${level}">` +
  `<p dir="ltr" style="line-height:1.38" role="presentation">${run(words)}</p></li>`;

export const PASTES: readonly Paste[] = [
  {
    name: 'two points',
    html: desk(point(1, '·', 'Boots') + point(1, '·', 'Notebook')),
    becomes: '<ul><li><p>Boots</p></li><li><p>Notebook</p></li></ul>',
  },
  {
    name: 'a point in a point',
    html: desk(point(1, '·', 'Boots') + point(2, 'o', 'Waders') + point(1, '·', 'Notebook')),
    becomes: '<ul><li><p>Boots</p><ul><li><p>Waders</p></li></ul></li><li><p>Notebook</p></li></ul>',
  },
  {
    name: 'three levels, and back to the first',
    html: desk(
      point(1, '·', 'A') + point(2, 'o', 'B') + point(3, '§', 'C') + point(2, 'o', 'D') + point(1, '·', 'E'),
    ),
    becomes:
      '<ul><li><p>A</p><ul><li><p>B</p><ul><li><p>C</p></li></ul></li><li><p>D</p></li></ul></li><li><p>E</p></li></ul>',
  },
  {
    name: 'numbers',
    html: desk(point(1, '1.', 'Log') + point(1, '2.', 'Wash')),
    becomes: '<ol><li><p>Log</p></li><li><p>Wash</p></li></ol>',
  },
  {
    name: 'numbers that go on from three',
    html: desk(point(1, '3)', 'Dry') + point(1, '4)', 'Weigh')),
    becomes: '<ol start="3"><li><p>Dry</p></li><li><p>Weigh</p></li></ol>',
  },
  {
    name: 'letters under numbers',
    html: desk(point(1, '1.', 'Core') + point(2, 'a.', 'Left bank') + point(2, 'b.', 'Right bank')),
    becomes: '<ol><li><p>Core</p><ol><li><p>Left bank</p></li><li><p>Right bank</p></li></ol></li></ol>',
  },
  {
    name: 'points under numbers',
    html: desk(point(1, '1.', 'Core') + point(2, '·', 'Left bank')),
    becomes: '<ol><li><p>Core</p><ul><li><p>Left bank</p></li></ul></li></ol>',
  },
  {
    name: 'points, and numbers of another list after them',
    html: desk(point(1, '·', 'Boots') + point(1, '1.', 'Log', 'l1')),
    becomes: '<ul><li><p>Boots</p></li></ul><ol><li><p>Log</p></li></ol>',
  },
  {
    name: 'a list between paragraphs',
    html: desk(
      `<p class=MsoNormal>Bring:<o:p></o:p></p>${point(1, '·', 'Boots')}<p class=MsoNormal>See you.<o:p></o:p></p>`,
    ),
    becomes: '<p>Bring:</p><ul><li><p>Boots</p></li></ul><p>See you.</p>',
  },
  {
    name: 'two lists with words between them',
    html: desk(`${point(1, '·', 'Boots')}<p class=MsoNormal>and</p>${point(1, '·', 'Notebook')}`),
    becomes: '<ul><li><p>Boots</p></li></ul><p>and</p><ul><li><p>Notebook</p></li></ul>',
  },
  {
    name: 'a list within the section of a document',
    html: desk(`<div class=WordSection1><h2>Kit</h2>${point(1, '·', 'Boots')}<p>Done</p></div>`),
    becomes: '<h2>Kit</h2><ul><li><p>Boots</p></li></ul><p>Done</p>',
  },
  {
    name: 'bold words in a point',
    html: desk(point(1, '·', '<b>Boots</b>, and <i>dry</i> socks')),
    becomes: '<ul><li><p><strong>Boots</strong>, and <em>dry</em> socks</p></li></ul>',
  },
  {
    name: 'headings of three levels',
    html: desk('<h1>Week 1<o:p></o:p></h1><h2>Tides</h2><h3>Neaps</h3><p class=MsoNormal>Low.</p>'),
    becomes: '<h2>Week 1</h2><h3>Tides</h3><h4>Neaps</h4><p>Low.</p>',
  },
  {
    name: 'headings from the second level on',
    html: desk('<h2>Tides</h2><h3>Neaps</h3><h5>Far in</h5>'),
    becomes: '<h2>Tides</h2><h3>Neaps</h3><h4>Far in</h4>',
  },
  {
    name: 'a title of the document',
    html: desk('<p class=MsoTitle>Field guide<o:p></o:p></p><p class=MsoNormal>Low.</p>'),
    becomes: '<h2>Field guide</h2><p>Low.</p>',
  },
  {
    name: 'a heading that its style alone tells',
    html: desk(`<p class=Chapter style='mso-outline-level:2'>Tides</p><p class=MsoNormal>Low.</p>`),
    becomes: '<h2>Tides</h2><p>Low.</p>',
  },
  {
    name: 'raised and lowered letters',
    html: desk('<p class=MsoNormal>10 m<sup>2</sup> of CO<sub>2</sub></p>'),
    becomes: '<p>10 m<sup>2</sup> of CO<sub>2</sub></p>',
  },
  {
    name: 'empty paragraphs between others',
    html: desk(
      '<p class=MsoNormal>One</p><p class=MsoNormal><o:p>&nbsp;</o:p></p><p class=MsoNormal>Two</p>',
    ),
    becomes: '<p>One</p><p>Two</p>',
  },
  {
    name: 'a table',
    html: desk(
      `<table class=MsoTableGrid border=1><tr style='height:1pt'><td width=99 valign=top><p class=MsoNormal>Site</p></td>` +
        `<td><p class=MsoNormal>Depth</p></td></tr><tr><td><p class=MsoNormal>A</p></td><td><p class=MsoNormal>&nbsp;</p></td></tr></table>`,
    ),
    becomes:
      '<table><tbody><tr><td><p>Site</p></td><td><p>Depth</p></td></tr><tr><td><p>A</p></td><td><p></p></td></tr></tbody></table>',
  },
  {
    name: 'a link and a comment of the author',
    html: desk(
      '<p class=MsoNormal>See the <a href="https://example.org/tides">tide table</a><!-- mine --> first.</p>',
    ),
    becomes: '<p>See the <a href="https://example.org/tides">tide table</a> first.</p>',
  },
  {
    name: 'points that stand each in a list of its own',
    html: alone(1, 'Boots') + alone(2, 'Waders') + alone(1, 'Notebook'),
    becomes: '<ul><li><p>Boots</p><ul><li><p>Waders</p></li></ul></li><li><p>Notebook</p></li></ul>',
  },
  {
    name: 'numbers that stand each in a list of their own',
    html: `<div>${alone(1, 'Log', 'ol')}</div><div>${alone(1, 'Wash', 'ol')}${alone(2, 'Dry', 'ol')}</div>`,
    becomes: '<ol><li><p>Log</p></li><li><p>Wash</p><ol><li><p>Dry</p></li></ol></li></ol>',
  },
  {
    name: 'a heading that its role alone tells',
    html: `<div><p class="Paragraph" role="heading" aria-level="1"><span class="TextRun">Week 1</span></p></div>${alone(1, 'Boots')}`,
    becomes: '<h2>Week 1</h2><ul><li><p>Boots</p></li></ul>',
  },
  {
    name: 'a plain paragraph in a wrapper that is bold by its tag',
    html: shared(`<p dir="ltr" style="line-height:1.38">${run('Low water at noon.')}</p>`),
    becomes: '<p>Low water at noon.</p>',
  },
  {
    name: 'bold, italic and both, told by style',
    html: shared(
      `<p>${run('Bring ')}${run('boots', 'font-weight:700;')}${run(' and ')}${run('patience', 'font-style:italic;')}</p>`,
    ),
    becomes: '<p>Bring <strong>boots</strong> and <em>patience</em></p>',
  },
  {
    name: 'raised and lowered letters, told by style',
    html: shared(
      `<p>${run('10 m')}${run('2', 'font-size:0.6em;vertical-align:super;')}${run(' of CO')}${run('2', 'vertical-align:sub;')}</p>`,
    ),
    becomes: '<p>10 m<sup>2</sup> of CO<sub>2</sub></p>',
  },
  {
    name: 'a list straight in a list',
    html: shared(`<ul>${item(1, 'Boots')}<ul>${item(2, 'Waders')}</ul>${item(1, 'Notebook')}</ul>`),
    becomes: '<ul><li><p>Boots</p><ul><li><p>Waders</p></li></ul></li><li><p>Notebook</p></li></ul>',
  },
  {
    name: 'a heading whose runs say how heavy they are',
    html: shared(
      `<h1 dir="ltr">${run('Week 1', 'font-weight:700;font-size:20pt;')}</h1><h2>${run('Tides')}</h2>`,
    ),
    becomes: '<h2>Week 1</h2><h3>Tides</h3>',
  },
  {
    name: 'lists, headings and letters of a free office suite',
    html:
      `<meta http-equiv="content-type" content="text/html; charset=utf-8"/><title></title><style type="text/css">p { line-height: 115% }</style>` +
      `<h1 class="western"><font face="Liberation Sans">Week 1</font></h1><p style="line-height: 100%; margin-bottom: 0cm">10 m<sup>2</sup></p>` +
      `<ul><li><p style="margin-bottom: 0cm">Boots</p><ul><li><p>Waders</p></li></ul></li></ul>`,
    becomes:
      '<h2>Week 1</h2><p>10 m<sup>2</sup></p><ul><li><p>Boots</p><ul><li><p>Waders</p></li></ul></li></ul>',
  },
  {
    name: 'points of notes, without paragraphs in them',
    html: `<ul class="ul1"><li class="li1"><span class="s1"></span>Boots</li><li class="li1">Notebook<ul class="ul2"><li>Pencil</li></ul></li></ul>`,
    becomes: '<ul><li><p>Boots</p></li><li><p>Notebook</p><ul><li><p>Pencil</p></li></ul></li></ul>',
  },
  {
    name: 'underlined, struck out, and a line that breaks',
    html: desk(`<p class=MsoNormal><u>Low</u> <s>High</s><br>water</p>`),
    becomes: '<p><u>Low</u> <s>High</s><br>water</p>',
  },
  {
    name: 'words that come from this editor',
    html: '<h2 data-pm-slice="1 1 []">Tides</h2><p>Low.</p>',
    becomes: '<h2>Tides</h2><p>Low.</p>',
  },
];
