"""Mute and solo of a track, in its lane's header."""

from PySide6.QtWidgets import QHBoxLayout, QPushButton, QWidget

from chronotome.session.edits.tracks import set_muted, set_solo
from chronotome.session.model import TrackId
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr


class TrackButtons(QWidget):
    """Two small buttons that follow one track."""

    def __init__(self, desk: UiContext, parent: QWidget, *, size: int = 24) -> None:
        super().__init__(parent)
        self._desk = desk
        self._track: TrackId | None = None
        layout = QHBoxLayout(self)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.setSpacing(4)
        self._mute = self._button("M", tr("Mute"), size)
        self._solo = self._button("S", tr("Solo track"), size)
        self._mute.clicked.connect(self._on_mute)
        self._solo.clicked.connect(self._on_solo)
        layout.addWidget(self._mute)
        layout.addWidget(self._solo)
        self.setFixedSize(2 * size + 10, size - 2)
        self._shown: tuple[object, ...] = ()
        desk.store.changed.connect(self._show)

    def _button(self, letter: str, words: str, size: int) -> QPushButton:
        button = QPushButton(letter)
        button.setObjectName("tool")
        button.setCheckable(True)
        button.setFixedSize(size, size - 2)
        button.setToolTip(words)
        button.setAccessibleName(words)
        return button

    def follow(self, track: TrackId | None) -> None:
        self._track = track
        self.setVisible(track is not None)
        self._show()

    def _show(self) -> None:
        found = next((track for track in self._desk.session.tracks if track.id == self._track), None)
        if found is None:
            return
        shown = found.name, found.is_muted, found.is_solo
        if shown != self._shown:
            self._shown = shown
            self._mute.setAccessibleName(tr("Mute, {0}", found.name))
            self._solo.setAccessibleName(tr("Solo, {0}", found.name))
            self._mute.setChecked(found.is_muted)
            self._solo.setChecked(found.is_solo)

    def _on_mute(self, is_on: bool) -> None:  # noqa: FBT001 - Qt's signal
        track = self._track
        if track is not None:
            words = tr("Mute track") if is_on else tr("Unmute track")
            self._desk.store.apply(lambda session: set_muted(session, track, is_on), words)

    def _on_solo(self, is_on: bool) -> None:  # noqa: FBT001 - Qt's signal
        track = self._track
        if track is not None:
            words = tr("Solo track") if is_on else tr("Unsolo track")
            self._desk.store.apply(lambda session: set_solo(session, track, is_on), words)
