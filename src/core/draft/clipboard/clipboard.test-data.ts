/** A paragraph of a list as word processors write it: bullet or number as text, its level in the style. */
const listed = (level: number, marker: string, text: string) =>
  `<p class=MsoListParagraphCxSpMiddle style='margin-left:${36 * level}.0pt;mso-add-space:auto;text-indent:-18.0pt;mso-list:l0 level${level} lfo1'><![if !supportLists]><span style='font-family:Symbol;mso-fareast-font-family:Symbol'><span style='mso-list:Ignore'>${marker}<span style='font:7.0pt "Times New Roman"'>&nbsp;&nbsp;&nbsp;&nbsp; </span></span></span><![endif]><span lang=EN-GB>${text}<o:p></o:p></span></p>`;

/** What word processors put on the clipboard: lists as text, a comment, a tracked deletion, a local picture, a table. */
export const WORD_PROCESSOR = `<html xmlns:o="urn:schemas-microsoft-com:office:office" xmlns:w="urn:schemas-microsoft-com:office:word"><head><style><!-- p.MsoNormal {margin:0cm} --></style></head><body lang=EN-GB>
<!--StartFragment-->
<p class=MsoTitle>The causeway at low water</p>
<p class=MsoSubtitle>Four hours, twice a day</p>
<h2>What to take</h2>
<p class=MsoNormal>The sea comes back<del cite="mailto:a.reader@saltmarsh.example"> slowly</del><ins cite="mailto:a.reader@saltmarsh.example"> faster than you ride</ins>.<span class=MsoCommentReference><span style='font-size:8.0pt'><a style='mso-comment-reference:AR_1' href="#_msocom_1" class=msocomanchor>[AR1]</a></span></span></p>
${listed(1, '·', 'a tide table')}
${listed(2, 'o', 'printed')}
${listed(2, 'o', 'for the right month')}
${listed(1, '·', 'a lamp')}
<p class=MsoNormal><o:p>&nbsp;</o:p></p>
${listed(1, '1.', 'Read the table.')}
${listed(1, '2.', 'Read it again.')}
<p class=MsoNormal><img width=320 height=200 src="file:///C:/Users/a/AppData/Local/Temp/msohtmlclip1/01/clip_image002.jpg"></p>
<table class=MsoTableGrid border=1><tr style='mso-yfti-irow:0;mso-yfti-firstrow:yes'><td><p class=MsoNormal><b>Day<o:p></o:p></b></p></td><td><p class=MsoNormal><b>Dry from</b></p></td></tr><tr><td><p class=MsoNormal>Friday</p></td><td><p class=MsoNormal>9:40</p></td></tr></table>
<div style='mso-element:comment-list'><div style='mso-element:comment'><p class=MsoCommentText>Is this so?</p></div></div>
<!--EndFragment--></body></html>`;

/** Lists by margins and hanging first lines alone. */
export const MARGINS = `<p style="margin-left:36pt;text-indent:-18pt">·&nbsp;&nbsp; bread</p><p style="margin-left:72pt;text-indent:-18pt">–&nbsp;&nbsp; dark</p><p style="margin-left:36pt;text-indent:-18pt"><span>·</span>&nbsp;&nbsp; <b>cheese</b></p>`;

/** What editors in web pages put there: a wrapper, headings by role, a list for each item, an empty item that sets one in. */
export const WEB_EDITOR = `<meta charset='utf-8'><b style="font-weight:normal;" id="docs-internal-guid-1a2b"><p dir="ltr" class="title"><span style="font-size:26pt">Crossing with children</span></p><p dir="ltr" class="subtitle"><span>Slowly</span></p><p role="heading" aria-level="2"><span style="font-weight:400">Before you go</span></p><p dir="ltr"><span style="font-weight:700">Look</span><span style="font-style:italic"> twice</span><span style="vertical-align:super">2</span>, <span style="text-decoration:line-through">never</span>.</p><br class="Apple-interchange-newline"><ul><li dir="ltr" aria-level="1"><p role="presentation"><span>helmet</span></p></li></ul><ul><li aria-level="2"><p><span>a small one</span></p></li></ul><ul><li aria-level="1"><p><span>snack</span></p></li></ul><p>Then:</p><ul><li>ride</li><li style="list-style-type:none"><ul><li>in file</li></ul></li><li>rest</li><ul><li>on the wall</li></ul></ul></b>`;

export const CELLS = `<meta charset=utf-8><table><colgroup><col width=100></colgroup><tbody><tr><td style="font-weight:bold">Day</td><td style="font-weight:bold">Dry from</td></tr><tr><td>Friday</td><td>9:40</td></tr><tr><td>Saturday</td><td></td></tr></tbody></table>`;

export const COLUMN = `<table><tbody><tr><td>tide table</td></tr><tr><td>lamp</td></tr><tr><td></td></tr><tr><td>bread</td></tr></tbody></table>`;

export const MAIL = `<div dir="ltr">Dear all,<div><br></div><div>the causeway is dry from nine.<br><br>Bring:<br>• a lamp<br>• bread<br>  </div><div>1) Meet at the quay.<br>2) Ride.</div></div>`;

/** A chat's answer as plain text. */
export const CHAT = `Sure! Here is a short guide to the causeway:

## When to cross

Cross **two hours** before low water.

* Read the table
* Take a lamp

Let me know if you want it longer!`;
