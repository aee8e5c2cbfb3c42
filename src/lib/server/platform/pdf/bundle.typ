// PDFs one behind the other for the printer, each sheet with a mark in its margin: which letter of how many, which sheet of it.
#set page(paper: "a4", margin: 0pt)
#set text(font: "Source Sans 3", size: 6pt, fill: rgb("#6F665A"))
#for paper in json(bytes(sys.inputs.papers)) {
  for n in range(paper.pages) {
    page(
      background: image(paper.path, page: n + 1, width: 210mm, height: 297mm),
      place(bottom + left, dx: 6mm, dy: -32mm, rotate(-90deg, reflow: true)[#paper.mark · #(n + 1)/#paper.pages]),
    )
  }
}
