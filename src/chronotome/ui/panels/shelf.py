"""The shelf: folders of sound files and patterns, heard in time and dragged in; and grooves."""

from pathlib import Path
from typing import Any

from PySide6.QtCore import (
    QAbstractTableModel,
    QMimeData,
    QModelIndex,
    QPersistentModelIndex,
    QRect,
    Qt,
    QTimer,
    QUrl,
    Signal,
)
from PySide6.QtGui import QFontMetrics, QKeyEvent, QPainter
from PySide6.QtWidgets import (
    QAbstractItemView,
    QCheckBox,
    QComboBox,
    QFileDialog,
    QHBoxLayout,
    QHeaderView,
    QLineEdit,
    QPushButton,
    QStyle,
    QStyledItemDelegate,
    QStyleOptionViewItem,
    QTableView,
    QVBoxLayout,
    QWidget,
)

from chronotome.bridge.shelf import Shelf
from chronotome.errors import readable
from chronotome.files.names import path_from, path_words, words_shown
from chronotome.files.shelf import ShelfEntry
from chronotome.ui.commands.grooves import GrooveCommands
from chronotome.ui.controls.offering import offer
from chronotome.ui.controls.plain_text import Label, tip
from chronotome.ui.controls.segmented import Segmented
from chronotome.ui.panels.groove_shelf import GrooveShelf
from chronotome.ui.state.figures import counted, plain
from chronotome.ui.state.theme import colour, figure_font, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

HEADERS = (tr("file"), tr("bpm"), tr("length"), tr("kHz"))
WIDTHS = (122, 54, 48, 38)
ROW = 20
MOST_FOLDERS = 8
CALM_MILLISECONDS = 120
Index = QModelIndex | QPersistentModelIndex


def length_words(seconds: float) -> str:
    return f"{plain(seconds)} s" if seconds < 60 else f"{int(seconds // 60)}:{int(seconds % 60):02d}"


def _tip(entry: ShelfEntry) -> str:
    sources = {
        "name": tr("from the file name"),
        "tag": tr("from the file tags"),
        "measured": tr("measured"),
        "saved": tr("from the pattern file"),
    }
    said = sources.get(entry.source, "")
    if entry.is_pattern:
        return tr(
            "{0}\nA pattern of {1}, {2} bpm",
            entry.words,
            counted(entry.steps, "step"),
            plain(entry.tempo or 0, 2),
        )
    tempo = tr("\n{0} bpm, {1}", plain(entry.tempo, 2), said) if entry.tempo else ""
    return f"{entry.words}{tempo}"


def _cell(entry: ShelfEntry, column: int) -> str:
    if column == 0:
        return readable(entry.path.name if entry.is_pattern else entry.path.stem)
    if not entry.frames:
        return "" if column < 3 else "…"
    tempo = plain(entry.tempo, 2) if entry.tempo else ""
    rate = "" if entry.is_pattern else f"{entry.rate / 1000:g}"
    return (tempo, length_words(entry.seconds), rate)[column - 1]


class ShelfModel(QAbstractTableModel):
    """Rows in order of what is sorted by; words are worked out when a row comes into sight."""

    def __init__(self, shelf: Shelf) -> None:
        super().__init__()
        self._shelf = shelf
        self.entries: list[ShelfEntry] = []
        self.wanted = ""
        self.column, self.is_falling = 0, False

    def refresh(self) -> None:
        """Rows as the shelf has them now, sifted and sorted."""
        wanted = self.wanted.casefold().split()
        entries = list(self._shelf.entries)
        if wanted:
            entries = [each for each in entries if all(word in each.words.casefold() for word in wanted)]
        keys = (
            None,
            lambda entry: entry.tempo or 0.0,
            lambda entry: entry.seconds,
            lambda entry: entry.rate,
        )
        key = keys[self.column]
        if key is not None:
            entries.sort(key=key)
        if self.is_falling:
            entries.reverse()
        self.beginResetModel()
        self.entries = entries
        self.endResetModel()

    def rowCount(self, parent: Index | None = None) -> int:
        return 0 if parent is not None and parent.isValid() else len(self.entries)

    def columnCount(self, _parent: Index | None = None) -> int:
        return len(HEADERS)

    def headerData(
        self, section: int, orientation: Qt.Orientation, role: int = Qt.ItemDataRole.DisplayRole
    ) -> Any:
        if role == Qt.ItemDataRole.DisplayRole and orientation is Qt.Orientation.Horizontal:
            return HEADERS[section]
        return None

    def data(self, index: Index, role: int = Qt.ItemDataRole.DisplayRole) -> Any:
        if not index.isValid():
            return None
        entry, column = self.entries[index.row()], index.column()
        if role == Qt.ItemDataRole.TextAlignmentRole and column:
            return Qt.AlignmentFlag.AlignVCenter | Qt.AlignmentFlag.AlignRight
        if role == Qt.ItemDataRole.ToolTipRole:
            return _tip(entry)
        return _cell(entry, column) if role == Qt.ItemDataRole.DisplayRole else None

    def sort(self, column: int, order: Qt.SortOrder = Qt.SortOrder.AscendingOrder) -> None:
        self.column, self.is_falling = column, order is Qt.SortOrder.DescendingOrder
        self.refresh()

    def flags(self, index: Index) -> Qt.ItemFlag:
        return super().flags(index) | Qt.ItemFlag.ItemIsDragEnabled

    def mimeTypes(self) -> list[str]:
        return ["text/uri-list"]

    def mimeData(self, indexes: Any) -> QMimeData:
        folder = self._shelf.folder or Path()
        rows = sorted({index.row() for index in indexes})
        data = QMimeData()
        data.setUrls([QUrl.fromLocalFile(str(folder / self.entries[row].path)) for row in rows])
        return data


class ShelfDelegate(QStyledItemDelegate):
    """Paints a cell in one call: while a folder is looked through, every call from Qt waits for its turn."""

    def __init__(self, desk: UiContext, rows: ShelfModel, parent: QWidget) -> None:
        super().__init__(parent)
        self._desk, self._rows = desk, rows
        self._fonts = (text_font(11), figure_font(11))

    def paint(self, painter: QPainter, option: QStyleOptionViewItem, index: Index) -> None:
        theme, column = self._desk.view.theme, index.column()
        box: QRect = option.rect
        if option.state & QStyle.StateFlag.State_Selected:
            painter.fillRect(box, colour(theme.wash))
        font = self._fonts[column > 0]
        entry = self._rows.entries[index.row()]
        words = _cell(entry, column)
        painter.setFont(font)
        painter.setPen(colour(theme.ink if column == 0 else theme.soft_ink))
        side = Qt.AlignmentFlag.AlignRight if column else Qt.AlignmentFlag.AlignLeft
        if column == 0 and entry.is_pattern:
            box = self._steps_painted(painter, box)
        if column == 0:
            words = QFontMetrics(font).elidedText(words, Qt.TextElideMode.ElideMiddle, box.width() - 8)
        painter.drawText(box.adjusted(4, 0, -4, 0), side | Qt.AlignmentFlag.AlignVCenter, words)

    def _steps_painted(self, painter: QPainter, box: QRect) -> QRect:
        """Before a pattern's name, some steps; what is left of the cell."""
        value = colour(self._desk.view.theme.accent)
        for at, (column, row) in enumerate(((0, 2), (1, 0), (2, 1), (3, 0))):
            left, top = box.left() + 5 + 4 * column, box.top() + 5 + 4 * row
            painter.fillRect(QRect(left, top, 3 if at % 2 else 6, 3), value)
        return box.adjusted(22, 0, 0, 0)


class ShelfTable(QTableView):
    """Enter takes a file in, Space goes on playing the song."""

    taken = Signal(object)

    def keyPressEvent(self, event: QKeyEvent) -> None:
        if event.key() in {Qt.Key.Key_Return, Qt.Key.Key_Enter}:
            self.taken.emit(self.currentIndex())
        else:
            super().keyPressEvent(event)


class ShelfPanel(QWidget):
    """Stands in the tray's place. A click hears a file; a double-click, Enter or a drag takes it in."""

    folders_changed = Signal(object)
    taken = Signal(object)
    closed = Signal()

    def __init__(self, desk: UiContext, folders: tuple[str, ...], grooves: GrooveCommands) -> None:
        super().__init__()
        self.setObjectName("trayBody")
        self.setAttribute(Qt.WidgetAttribute.WA_StyledBackground)
        self._desk, self._shelf = desk, desk.shelf
        self._folders = list(folders)
        self.rows = ShelfModel(self._shelf)
        layout = QVBoxLayout(self)
        layout.setContentsMargins(16, 12, 16, 12)
        layout.setSpacing(8)
        layout.addLayout(self._head())
        self.what = Segmented(desk.view, tr("Shelf content"), [tr("files"), tr("grooves")])
        self.what.chosen.connect(self._show_page)
        layout.addWidget(self.what)
        self.grooves = GrooveShelf(desk, grooves)
        self.grooves.hide()
        layout.addWidget(self.grooves, 1)
        self.files = QWidget()
        layout.addWidget(self.files, 1)
        self._calm = QTimer(self)
        self._calm.setSingleShot(True)
        self._calm.setInterval(CALM_MILLISECONDS)
        self._calm.timeout.connect(self._hear)
        self._build_files()
        self._shelf.changed.connect(self._on_changed)
        self._shelf.heard_changed.connect(self._tell)
        self._fill_folders()
        self._tell()

    def _build_files(self) -> None:
        layout = QVBoxLayout(self.files)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.setSpacing(8)
        self.folder = QComboBox()
        self.folder.setAccessibleName(tr("Shelf folder"))
        self.folder.activated.connect(self._on_folder)
        layout.addWidget(self.folder)
        self.wanted = QLineEdit()
        self.wanted.setPlaceholderText(tr("Find by name"))
        self.wanted.setClearButtonEnabled(True)
        self.wanted.textChanged.connect(self._on_wanted)
        layout.addWidget(self.wanted)
        layout.addWidget(self._table(), 1)
        self.told = Label("")
        self.told.setObjectName("soft")
        self.told.setWordWrap(True)
        self.told.setFixedHeight(34)  # other words must not lay the panel out anew
        layout.addWidget(self.told)
        self.in_tempo = QCheckBox(tr("Preview at song tempo"))
        self.in_tempo.setChecked(self._shelf.in_song_tempo)
        self.in_tempo.toggled.connect(self._on_in_tempo)
        layout.addWidget(self.in_tempo)
        row = QHBoxLayout()
        self.silence = QPushButton(tr("Stop"))
        self.silence.clicked.connect(self._shelf.stop)
        self.take = QPushButton(tr("Import"))
        self.take.clicked.connect(lambda: self._take(self.table.currentIndex()))
        row.addWidget(self.silence)
        row.addWidget(self.take)
        layout.addLayout(row)

    def _head(self) -> QHBoxLayout:
        head = QHBoxLayout()
        title = Label(tr("Shelf"))
        title.setObjectName("title")
        head.addWidget(title)
        head.addStretch(1)
        add = QPushButton(tr("Add folder…"))
        add.clicked.connect(self.ask_folder)
        close = QPushButton(tr("Close"))
        close.clicked.connect(self.closed)
        head.addWidget(add)
        head.addWidget(close)
        return head

    def _table(self) -> ShelfTable:
        table = self.table = ShelfTable()
        table.setModel(self.rows)
        table.setObjectName("onsets")
        table.setItemDelegate(ShelfDelegate(self._desk, self.rows, table))
        table.setAccessibleName(tr("Files on the shelf"))
        table.setSelectionBehavior(QAbstractItemView.SelectionBehavior.SelectRows)
        table.setSelectionMode(QAbstractItemView.SelectionMode.ExtendedSelection)
        table.setShowGrid(False)
        table.setWordWrap(False)
        table.setDragEnabled(True)
        table.setDragDropMode(QAbstractItemView.DragDropMode.DragOnly)
        table.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        table.verticalHeader().hide()
        table.verticalHeader().setSectionResizeMode(QHeaderView.ResizeMode.Fixed)
        table.verticalHeader().setDefaultSectionSize(ROW)
        columns = table.horizontalHeader()
        columns.setSectionResizeMode(QHeaderView.ResizeMode.Fixed)
        columns.setStretchLastSection(True)
        columns.setFixedHeight(ROW)
        columns.setHighlightSections(False)
        for column, width in enumerate(WIDTHS):
            table.setColumnWidth(column, width)
        columns.setSortIndicatorShown(True)
        columns.setSortIndicator(0, Qt.SortOrder.AscendingOrder)
        table.setSortingEnabled(True)
        table.selectionModel().currentRowChanged.connect(lambda *_: self._calm.start())
        table.doubleClicked.connect(self._take)
        table.taken.connect(self._take)
        offer(
            table,
            (
                (tr("Import"), lambda: self._take(table.currentIndex())),
                (tr("Preview"), self._hear),
                (tr("Stop"), self._shelf.stop),
                (tr("Preview at song tempo"), self._toggle_tempo),
            ),
        )
        return table

    # Folders

    def ask_folder(self) -> None:
        folder = QFileDialog.getExistingDirectory(self, tr("Choose shelf folder"))
        if folder:
            self.open(Path(folder))

    def open(self, folder: Path) -> None:
        """Show a folder, and remember it."""
        words = path_words(folder)
        self._folders = [words, *(each for each in self._folders if each != words)][:MOST_FOLDERS]
        self._fill_folders()
        self.folders_changed.emit(tuple(self._folders))
        self._shelf.open(folder)

    def _show_page(self, page: int) -> None:
        """Files or grooves; what is heard of the other is heard no more."""
        self.stop()
        self.files.setVisible(page == 0)
        self.grooves.setVisible(page == 1)

    def stop(self) -> None:
        """Nothing of the shelf is heard any more, be it a file or a groove."""
        self._shelf.stop()
        if self.grooves.isVisible() and self.grooves.groove is not None:
            self.grooves.drop()

    def show_last(self) -> None:
        """The folder that was shown last, when the shelf is opened."""
        if self._shelf.folder is None and self._folders:
            self._shelf.open(path_from(self._folders[0]))

    def _fill_folders(self) -> None:
        self.folder.clear()
        names = [readable(path_from(each).name) or each for each in self._folders]
        self.folder.addItems(names or [tr("no folder")])
        for row, each in enumerate(self._folders):
            self.folder.setItemData(row, tip(words_shown(each)), Qt.ItemDataRole.ToolTipRole)

    def _on_folder(self, row: int) -> None:
        if row < len(self._folders):
            self.open(path_from(self._folders[row]))

    # Rows

    def _on_wanted(self, words: str) -> None:
        self.rows.wanted = words
        self.rows.refresh()
        self._tell()

    def _on_changed(self) -> None:
        """More rows: what was selected and in sight stays so."""
        chosen = self._chosen()
        scroll = self.table.verticalScrollBar().value()
        self.table.selectionModel().blockSignals(True)
        self.rows.refresh()
        if chosen is not None:
            row = next((at for at, each in enumerate(self.rows.entries) if each.name == chosen.name), None)
            if row is not None:
                self.table.selectRow(row)
        self.table.selectionModel().blockSignals(False)
        self.table.verticalScrollBar().setValue(scroll)
        self._tell()

    def _chosen(self) -> ShelfEntry | None:
        row = self.table.currentIndex().row()
        return self.rows.entries[row] if 0 <= row < len(self.rows.entries) else None

    def _hear(self) -> None:
        entry = self._chosen()
        if entry is not None and self.isVisible():
            self._shelf.hear(entry)

    def _toggle_tempo(self) -> None:
        self.in_tempo.toggle()

    def _on_in_tempo(self, is_on: bool) -> None:  # noqa: FBT001 - a signal's value
        self._shelf.in_song_tempo = is_on
        if self._shelf.heard is not None:
            self._hear()

    def _take(self, index: QModelIndex) -> None:
        rows = {each.row() for each in self.table.selectionModel().selectedRows()} or {index.row()}
        folder = self._shelf.folder
        if folder is None or not rows or min(rows) < 0:
            return
        self._shelf.stop()
        self.taken.emit([folder / self.rows.entries[row].path for row in sorted(rows)])

    def _tell(self) -> None:
        heard = self._shelf.heard
        self.silence.setEnabled(heard is not None)
        self.take.setEnabled(bool(self.rows.entries))
        if heard is not None:
            self.told.setText(tr("Previewing {0}", readable(heard.path.name)))
        elif self._shelf.folder is None:
            self.told.setText(tr("Add a folder with audio files or patterns. The files stay unchanged."))
        else:
            shown, all_of_them = len(self.rows.entries), len(self._shelf.entries)
            of = "" if shown == all_of_them else tr(" of {0}", all_of_them)
            patterns = sum(entry.is_pattern for entry in self.rows.entries)
            some = [(shown - patterns, "file"), (patterns, "pattern")]
            words = tr(" and ").join(counted(number, name) for number, name in some if number)
            self.told.setText(f"{words or tr('none')}{of}")
