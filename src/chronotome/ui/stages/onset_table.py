"""The onsets that count, as a table; what is selected in it is selected everywhere."""

from typing import Any

import numpy as np
from PySide6.QtCore import (
    QAbstractTableModel,
    QItemSelection,
    QItemSelectionModel,
    QModelIndex,
    QPersistentModelIndex,
    Qt,
)
from PySide6.QtWidgets import QAbstractItemView, QHeaderView, QTableView

from chronotome.dsp.bands import Band
from chronotome.session.counting import clock_of
from chronotome.session.metre import hit_words
from chronotome.ui.controls.debounce import Debounce
from chronotome.ui.state.figures import clock
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

HEADERS = (tr("time"), tr("bar"), tr("strength"), tr("band"), tr("pin"))
ROW = 20
WIDTHS = (74, 50, 52, 38, 46)
Index = QModelIndex | QPersistentModelIndex


class OnsetModel(QAbstractTableModel):
    """Rows are worked out when they come into sight: an hour of hits is no slower than a bar."""

    def __init__(self) -> None:
        super().__init__()
        self.shown: Shown | None = None
        self.places = np.zeros(0, np.int64)
        self._beats = np.zeros(0)

    def show(self, shown: Shown | None, desk: UiContext) -> None:
        self.beginResetModel()
        self.shown = shown
        self.places = np.zeros(0, np.int64)
        if shown is not None:
            self.places = np.flatnonzero(shown.counts)
            beats = clock_of(desk.session, shown.take).beats_of(shown.recording.onsets)
            self._beats, self._metre = beats, desk.session.metre
        self.endResetModel()

    def rowCount(self, parent: Index | None = None) -> int:
        return 0 if parent is not None and parent.isValid() else len(self.places)

    def columnCount(self, _parent: Index | None = None) -> int:
        return len(HEADERS)

    def headerData(
        self, section: int, orientation: Qt.Orientation, role: int = Qt.ItemDataRole.DisplayRole
    ) -> Any:
        if role == Qt.ItemDataRole.DisplayRole and orientation is Qt.Orientation.Horizontal:
            return HEADERS[section]
        return None

    def data(self, index: Index, role: int = Qt.ItemDataRole.DisplayRole) -> Any:
        if self.shown is None or not index.isValid():
            return None
        if role == Qt.ItemDataRole.TextAlignmentRole:
            return Qt.AlignmentFlag.AlignVCenter | (
                Qt.AlignmentFlag.AlignRight if index.column() in {0, 2} else Qt.AlignmentFlag.AlignHCenter
            )
        if role != Qt.ItemDataRole.DisplayRole:
            return None
        onsets, place = self.shown.recording.onsets, int(self.places[index.row()])
        return (
            clock(onsets.frames[place] / self.shown.recording.rate),
            hit_words(float(self._beats[place]), self._metre),
            f"{onsets.strengths[place]:.0f}",
            tr(Band(onsets.bands[place]).name.lower()),
            tr("pinned") if onsets.lock_array[place] else "",
        )[index.column()]


class OnsetTable(QTableView):
    """Selecting rows selects onsets, and the other way round."""

    def __init__(self, desk: UiContext) -> None:
        super().__init__()
        self._desk = desk
        self._is_following = False
        self.onsets = OnsetModel()
        self.setModel(self.onsets)
        self.setAccessibleName(tr("Onsets"))
        self.setSelectionBehavior(QAbstractItemView.SelectionBehavior.SelectRows)
        self.setSelectionMode(QAbstractItemView.SelectionMode.ExtendedSelection)
        self.setObjectName("onsets")
        self.setShowGrid(False)
        self.setTabKeyNavigation(False)  # Tab goes on to what is below it
        self.setWordWrap(False)
        self.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        self.setMinimumHeight(112)
        rows = self.verticalHeader()
        rows.hide()
        rows.setSectionResizeMode(QHeaderView.ResizeMode.Fixed)
        rows.setDefaultSectionSize(ROW)
        columns = self.horizontalHeader()
        columns.setSectionResizeMode(QHeaderView.ResizeMode.Fixed)
        columns.setStretchLastSection(True)
        for column, width in enumerate(WIDTHS):
            self.setColumnWidth(column, width)
        self.setAlternatingRowColors(False)
        columns.setHighlightSections(False)
        columns.setFixedHeight(ROW)
        self.selectionModel().selectionChanged.connect(self._on_rows)
        desk.view.chosen.changed.connect(self._on_selection)
        desk.view.chosen.focus_changed.connect(self._ask)
        self._soon = Debounce(self._show, self)
        desk.store.changed.connect(self._ask)

    def _ask(self) -> None:
        self._soon.ask()

    def _show(self) -> None:
        shown = self._desk.shown
        old = self.onsets.shown
        is_same = shown is not None and old is not None and shown.counts is old.counts
        if is_same and shown is not None and old is not None and shown.recording is old.recording:
            return
        self._is_following = True
        self.onsets.show(shown, self._desk)
        self._is_following = False
        self._on_selection()

    def _on_selection(self) -> None:
        """Show what is selected elsewhere."""
        shown = self.onsets.shown
        if self._is_following or shown is None:
            return
        wanted = [shown.recording.onsets.place_of(onset) for onset in self._desk.view.chosen.onsets]
        places = np.array([place for place in wanted if place is not None], np.int64)
        rows = np.searchsorted(self.onsets.places, places)
        rows = rows[(rows < len(self.onsets.places))]
        rows = rows[np.isin(self.onsets.places[rows], places)]
        selection = QItemSelection()
        for row in sorted(set(rows.tolist())):  # NumPy's own would load masked arrays into the start
            selection.select(self.onsets.index(row, 0), self.onsets.index(row, len(HEADERS) - 1))
        self._is_following = True
        self.selectionModel().select(selection, QItemSelectionModel.SelectionFlag.ClearAndSelect)
        if len(rows):
            self.scrollTo(self.onsets.index(int(rows[-1]), 0))
        self._is_following = False

    def _on_rows(self) -> None:
        """Select elsewhere what is selected here, and bring it into sight."""
        shown = self.onsets.shown
        if self._is_following or shown is None:
            return
        rows = sorted(index.row() for index in self.selectionModel().selectedRows())
        ids = tuple(shown.recording.onsets.ids[int(self.onsets.places[row])] for row in rows)
        current = self.currentIndex().row()
        head = None
        if ids:
            head = ids[rows.index(current)] if current in rows else ids[-1]
        self._is_following = True
        self._desk.view.chosen.pick(ids, head)
        self._is_following = False
        if head is not None:
            self._desk.view.sight.center_on(shown.frame_shown(shown.recording.onsets.frame_of(head)))
