// A sheet (core/7-letters/sheet.ts) as paper: A4, tagged, with its table heads and running sums on every page.
#let sheet = json(bytes(sys.inputs.sheet))
#let ink = rgb("#24201B")
#let soft = rgb("#6F665A")
#let rule = rgb("#B9AC97")
#let copper = rgb("#A4521F")
#let faces = json(bytes(sys.inputs.faces))

#set document(title: sheet.title, author: sheet.author, date: auto)
#set text(font: faces, fallback: false, size: 9.5pt, fill: ink, lang: sheet.language, number-type: "lining", number-width: "tabular", hyphenate: false)
#set par(leading: 0.55em, spacing: 0.9em)
#show strong: set text(weight: 600)
#show heading: set text(font: ("Source Serif 4",) + faces, weight: 600)
#show heading.where(level: 1): set text(size: 17pt)
#show heading.where(level: 1): set block(above: 0pt, below: 9pt)
#show heading.where(level: 2): set block(above: 0pt, below: 7pt)
#set page(
  paper: "a4",
  margin: (left: 20mm, right: 18mm, top: 18mm, bottom: 21mm),
  header: context if here().page() > 1 {
    set text(size: 8pt, fill: soft)
    [#sheet.running #h(1fr)]
  },
  footer: {
    set text(size: 7.5pt, fill: soft)
    grid(columns: (1fr, auto), column-gutter: 8mm,
      sheet.footer,
      context sheet.pages.replace("{page}", str(counter(page).get().first())).replace("{pages}", str(counter(page).final().first())))
  }
)

#let lines(all) = all.map(one => [#one]).join(linebreak())

#let letterhead = {
  grid(columns: (1fr, auto), column-gutter: 10mm,
    {
      if sheet.head.logo != none {
        block(below: 2mm, image(sheet.head.logo, height: 13mm, width: 50mm, fit: "contain", alt: sheet.author))
      }
      text(font: ("Source Serif 4",) + faces, weight: 600, size: 13pt, sheet.head.name)
      if sheet.head.address.len() > 0 { linebreak(); text(size: 8pt, fill: soft, sheet.head.address.join(", ")) }
    },
    align(right, text(size: 8pt, fill: soft, lines(sheet.head.contact))))
  v(2.5mm, weak: true)
  line(length: 100%, stroke: 0.6pt + rule)
  v(0.9mm, weak: true)
  line(length: 100%, stroke: 0.6pt + rule)
}

#let cell(one) = {
  let words = text(fill: if one.at("soft", default: false) { soft } else { ink },
    weight: if one.at("strong", default: false) { 600 } else { 400 }, one.text)
  words
  if one.at("after", default: "") != "" { text(fill: soft, [ #one.after]) }
  if one.at("late", default: "") != "" { text(fill: copper, size: 8pt, [ #one.late]) }
}

#let run-of(one) = {
  let words = lines(one.text.split("\n"))
  if one.at("em", default: false) { words = emph(words) }
  if one.at("strong", default: false) { words = strong(words) }
  if "link" in one { link(one.link, text(fill: copper, words)) } else { words }
}

#let rich-of(one) = {
  if one.kind == "paragraph" { par(one.runs.map(run-of).join()) }
  else if one.ordered { enum(..one.items.map(item => item.map(run-of).join())) }
  else { list(..one.items.map(item => item.map(run-of).join())) }
}

#let row-at = state("row", 0)

#let table-of(block-data) = {
  let count = block-data.rows.len()
  let wide = block-data.columns.len()
  let sums = block-data.at("sums", default: none)
  let running(name, value) = (
    table.cell(colspan: wide - 1, align: left, text(size: 8pt, fill: soft, name)),
    table.cell(align: right, text(size: 8pt, fill: soft, value)))
  set text(size: 9pt)
  let carry = sums != none and count > 18
  let last = block-data.columns.len() - 1
  table(
    columns: block-data.columns.map(one => if one.at("wide", default: false) { 1fr } else { auto }),
    align: block-data.columns.map(one => if one.at("figures", default: false) { right } else { left }),
    inset: (x, y) => (left: 0pt, right: if x == last { 0pt } else { 3.5mm }, y: 3.4pt),
    stroke: none,
    table.header(
      repeat: true,
      ..block-data.columns.map(one => text(size: 8pt, fill: soft, one.name)),
      ..if carry { (table.cell(colspan: wide, inset: (x: 0pt, y: 0pt), align: left, context {
        let before = row-at.get()
        if before > 0 and before < count {
          block(inset: (y: 3.4pt), width: 100%, stroke: (top: 0.4pt + rule), text(size: 8pt, fill: soft, [#sums.brought #h(1fr) #block-data.rows.at(before - 1).carried]))
        }
      }),) } else { () }
    ),
    ..for (n, row) in block-data.rows.enumerate() {
      if not row.at("detail", default: false) { (table.hline(stroke: 0.4pt + rule),) }
      let first = row.cells.first()
      if row.at("detail", default: false) {
        row.cells.enumerate().map(((k, one)) => table.cell(inset: (left: if k == 0 { 3mm } else { 0pt }, right: if k == last { 0pt } else { 3.5mm }, top: 0pt, bottom: 3.4pt), if k == 0 and carry { row-at.update(n + 1); cell(one) } else { cell(one) }))
      } else {
        row.cells.enumerate().map(((k, one)) => if k == 0 and carry { row-at.update(n + 1); cell(one) } else { cell(one) })
      }
    },
    table.hline(stroke: 0.4pt + rule),
    ..if sums == none { () } else { (table.footer(repeat: carry, table.cell(colspan: wide, inset: (x: 0pt, top: 5pt, bottom: 0pt), align: left, {
      let whole = text(size: 11pt, weight: 600, [#sums.name #h(1fr) #text(size: 12pt, sums.value)])
      if not carry { whole } else { context {
        let now = row-at.get()
        if now < count { text(size: 8pt, fill: soft, [#sums.forward #h(1fr) #block-data.rows.at(now - 1).carried]) } else { whole }
      } }
    })),) }
  )
  if carry { row-at.update(0) }
}

#let figures-of(one) = {
  set text(size: 8.5pt)
  block(above: 4mm, below: 2mm, text(size: 8pt, fill: soft, one.name))
  table(columns: one.cells.map(it => 1fr), align: right, inset: (x: 0pt, y: 3pt), column-gutter: 3mm, stroke: none,
    table.header(..one.cells.map(it => text(fill: soft, it.name))),
    table.hline(stroke: 0.4pt + rule),
    ..one.cells.map(it => it.value))
  v(1mm)
}

#let pay-of(one) = block(breakable: false, above: 5mm, below: 5mm, stroke: (top: 0.6pt + rule, bottom: 0.6pt + rule), inset: (y: 3mm), width: 100%, {
  grid(columns: (1fr, auto), column-gutter: 8mm, {
    heading(level: 2, text(size: 10.5pt, one.name))
    if one.says != "" { par(one.says) }
    grid(columns: (auto, 1fr), column-gutter: 5mm, row-gutter: 1.6mm, ..one.lines.map(it => (text(fill: soft, it.name), text(weight: 600, it.value))).flatten())
    if one.link != none { v(1.6mm, weak: true); link(one.link.url, text(fill: copper, one.link.text)) }
  },
  if one.code != none { align(center, { image(bytes(one.code.svg), format: "svg", width: 27mm, alt: one.code.alt); linebreak(); text(size: 7pt, fill: soft, one.code.says) }) })
})

#letterhead
#place(top + left, dy: 33mm, box(width: 85mm, {
  text(size: 6.5pt, fill: soft, underline(offset: 1.5pt, stroke: 0.3pt + soft, sheet.head.sender))
  v(2.2mm, weak: true)
  text(size: 10.5pt, lines(sheet.to))
}))
#place(top + right, dy: 33mm, box(width: 70mm, {
  set text(size: 9pt)
  grid(columns: (1fr, auto), column-gutter: 4mm, row-gutter: 1.9mm, align: (right, right),
    ..sheet.facts.map(it => (text(fill: soft, it.name), it.value)).flatten())
}))
#v(52mm)

= #sheet.title

#for one in sheet.blocks {
  if one.kind == "text" and one.at("whole", default: false) { block(breakable: false, above: 5mm, par(lines(one.text.split("\n")))) }
  else if one.kind == "text" { par(if one.at("soft", default: false) { text(fill: soft, one.text) } else { lines(one.text.split("\n")) }) }
  else if one.kind == "rich" { rich-of(one.block) }
  else if one.kind == "table" { table-of(one) }
  else if one.kind == "figures" { figures-of(one) }
  else if one.kind == "pay" { pay-of(one) }
}
