"""The manual inside the program: a page a stage, opened where one is."""

from collections.abc import Iterator
from functools import partial
from pathlib import Path

from PySide6.QtCore import QUrl
from PySide6.QtGui import QTextBlockFormat, QTextCursor, QTextDocument
from PySide6.QtWidgets import QHBoxLayout, QTextBrowser, QVBoxLayout, QWidget

from chronotome import assets
from chronotome.ui.controls.dialog import Dialog
from chronotome.ui.controls.plain_button import plain_button
from chronotome.ui.state.view_state import Stage, ViewState
from chronotome.words import tr

FOLDER = Path(assets.__file__).parent / "manual"
FIRST = "index"
SIZE = (900, 700)
HEADING, PARAGRAPH, LINE = 16, 7, 120


def page_of(stage: Stage | None) -> Path:
    return FOLDER / f"{FIRST if stage is None else stage.name.lower()}.md"


def pages() -> Iterator[tuple[Path, str]]:
    """Each page and its heading."""
    for page in sorted(FOLDER.glob("*.md")):
        with page.open(encoding="utf-8") as text:
            yield page, text.readline().removeprefix("# ").strip()


class _Pages(QTextBrowser):
    """Shows pages of the manual, and nothing else that a link may name."""

    def doSetSource(
        self, name: QUrl | str, kind: QTextDocument.ResourceType = QTextDocument.ResourceType.UnknownResource
    ) -> None:
        url = QUrl(name)
        if Path(url.toLocalFile()).parent == FOLDER:
            super().doSetSource(url, kind)
            self._space()

    def _space(self) -> None:
        """Markdown knows no room between paragraphs."""
        block = self.document().begin()
        while block.isValid():
            made, is_heading = QTextBlockFormat(block.blockFormat()), block.blockFormat().headingLevel() > 0
            made.setTopMargin(HEADING if is_heading else 0)
            made.setBottomMargin(PARAGRAPH)
            made.setLineHeight(LINE, QTextBlockFormat.LineHeightTypes.ProportionalHeight.value)
            QTextCursor(block).setBlockFormat(made)
            block = block.next()
        self.moveCursor(QTextCursor.MoveOperation.Start)


class ManualDialog(Dialog):
    """Stays open beside the window; links lead from page to page, and to nothing outside of it."""

    def __init__(self, view: ViewState, parent: QWidget) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Manual"))
        self.setModal(False)
        self.resize(*SIZE)
        self._view = view
        layout = QVBoxLayout(self)
        layout.setContentsMargins(16, 12, 16, 16)
        row = QHBoxLayout()
        self.back = plain_button(tr("Back"), row=row)
        self.first = plain_button(tr("Contents"), row=row)
        row.addStretch(1)
        for stage in Stage:
            plain_button(stage.words, partial(self.show_page, stage), row)
        layout.addLayout(row)
        self.text = _Pages()
        self.text.setAccessibleName(tr("Manual"))
        self.text.setOpenLinks(True)
        self.text.setSearchPaths([str(FOLDER)])
        self.text.document().setDocumentMargin(20)
        self.text.backwardAvailable.connect(self.back.setEnabled)
        layout.addWidget(self.text, 1)
        self.back.clicked.connect(self.text.backward)
        self.first.clicked.connect(lambda: self.show_page(None))
        self.back.setEnabled(False)
        view.theme_changed.connect(self._on_theme)

    def show_page(self, stage: Stage | None) -> None:
        """A stage's page, or the contents."""
        self.show_file(page_of(stage))

    def show_file(self, page: Path) -> None:
        """One page."""
        self.text.setSource(QUrl.fromLocalFile(str(page)))

    def _on_theme(self) -> None:
        """Its links in the colours of the theme."""
        self.text.reload()
