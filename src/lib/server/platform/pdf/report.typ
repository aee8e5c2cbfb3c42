// A report (core/6-reports/report-sheet.ts) as paper: A4, on its side where it has many columns, tagged, with its heads on every page.
#let sheet = json(bytes(sys.inputs.sheet))
#let ink = rgb("#24201B")
#let soft = rgb("#6F665A")
#let rule = rgb("#B9AC97")
#let faces = json(bytes(sys.inputs.faces))
#let many = sheet.columns.len() > 7
#let size = if sheet.columns.len() > 11 { 7pt } else if many { 8pt } else { 8.8pt }

#set document(title: sheet.title, author: sheet.author, date: auto)
#set text(font: faces, fallback: false, size: size, fill: ink, lang: sheet.language, number-type: "lining", number-width: "tabular", hyphenate: false)
#set par(leading: 0.5em)
#show heading: set text(font: ("Source Serif 4",) + faces, weight: 600)
#show heading.where(level: 1): set text(size: 16pt)
#show heading.where(level: 1): set block(above: 0pt, below: 7pt)
#set page(
  paper: "a4",
  flipped: many,
  margin: (x: 15mm, top: 15mm, bottom: 17mm),
  header: context if here().page() > 1 { text(size: 7.5pt, fill: soft)[#sheet.author · #sheet.title] },
  footer: {
    set text(size: 7.5pt, fill: soft)
    grid(columns: (1fr, auto), column-gutter: 8mm,
      sheet.footer,
      context sheet.pages.replace("{page}", str(counter(page).get().first())).replace("{pages}", str(counter(page).final().first())))
  }
)

#block(below: 3.2mm, text(size: 8.5pt, fill: soft, sheet.author))
= #sheet.title
#block(below: 4mm, text(size: 8pt, sheet.asked.map(one => [#text(fill: soft, one.name) #one.value]).join([#h(5mm, weak: true) ])))

#if sheet.rows.len() == 0 { par(sheet.nothing) } else {
  let last = sheet.columns.len() - 1
  table(
    columns: sheet.columns.map(one => if one.wide { 1fr } else { auto }),
    align: sheet.columns.map(one => if one.figures { right } else { left }),
    inset: (x, y) => (left: 0pt, right: if x == last { 0pt } else { 2.6mm }, y: 2.6pt),
    stroke: none,
    table.header(repeat: true, ..sheet.columns.map(one => text(fill: soft, one.name)), table.hline(stroke: 0.8pt + rule)),
    ..for row in sheet.rows {
      if row.isSum { (table.hline(stroke: 0.8pt + rule),) } else { (table.hline(stroke: 0.3pt + rule),) }
      row.cells.map(one => if row.isSum { strong(one) } else { one })
    },
    table.hline(stroke: 0.8pt + rule)
  )
}
