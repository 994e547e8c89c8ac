"""What a session is made of: length, tempo, tracks, hits, files and their sizes; and what nothing plays."""

from pathlib import Path

from PySide6.QtCore import Qt
from PySide6.QtWidgets import (
    QComboBox,
    QDialogButtonBox,
    QGridLayout,
    QMessageBox,
    QVBoxLayout,
    QWidget,
)

from chronotome.errors import readable
from chronotome.session.anchors import extent_of
from chronotome.session.counting import counted_of
from chronotome.session.edits.recordings import first_rate, set_rate
from chronotome.session.model import Session
from chronotome.ui.controls.dialog import Dialog
from chronotome.ui.controls.plain_text import Label, question, tip
from chronotome.ui.state.figures import clock, counted, megabytes, plain, tempo_words
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

RATES = (44_100, 48_000, 88_200, 96_000)


def bytes_in(paths: list[Path]) -> int:
    """Of the files that are there."""
    return sum(path.stat().st_size for path in paths if path.is_file())


def hits_in(session: Session) -> int:
    """Onsets that count, of every take."""
    return sum(int(counted_of(session, take).sum()) for track in session.tracks for take in track.takes)


class InformationDialog(Dialog):
    def __init__(self, desk: UiContext, parent: QWidget | None) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Session information"))
        self.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        self._desk = desk
        layout = QVBoxLayout(self)
        layout.setContentsMargins(24, 20, 24, 16)
        layout.setSpacing(16)
        self._grid = QGridLayout()
        self._grid.setHorizontalSpacing(24)
        self._grid.setVerticalSpacing(6)
        layout.addLayout(self._grid)
        for row, (name, figure) in enumerate(self.rows()):
            label, value = Label(name), Label(figure)
            label.setObjectName("soft")
            value.setTextInteractionFlags(Qt.TextInteractionFlag.TextSelectableByMouse)
            value.setWordWrap(True)
            value.setAccessibleName(name)
            self._grid.addWidget(label, row, 0, Qt.AlignmentFlag.AlignTop)
            self._grid.addWidget(value, row, 1)
        self._grid.setColumnMinimumWidth(1, 320)
        self._add_rate(len(self.rows()))
        buttons = QDialogButtonBox(QDialogButtonBox.StandardButton.Close)
        self.drop = buttons.addButton(tr("Remove unused recordings…"), QDialogButtonBox.ButtonRole.ActionRole)
        self.drop.setEnabled(bool(desk.document.unheard))
        self.drop.clicked.connect(self.ask_and_drop)
        buttons.rejected.connect(self.reject)
        layout.addWidget(buttons)

    def _add_rate(self, row: int) -> None:
        """How many frames a second all of it has: more than its recordings have brings nothing."""
        label, self.rate, session = Label(tr("Sample rate")), QComboBox(), self._desk.session
        label.setObjectName("soft")
        label.setBuddy(self.rate)
        self.rate.setAccessibleName(tr("Session sample rate"))
        self.rate.setToolTip(
            tip(tr("All audio is converted to this rate and keeps its place. Undo restores the old rate."))
        )
        own = max((each.rate for each in session.recordings), default=session.rate)
        for rate in sorted({*RATES, session.rate, first_rate(own)}):
            self.rate.addItem(tr("{0:g} kHz", rate / 1000), rate)
        self.rate.setCurrentIndex(self.rate.findData(session.rate))
        self.rate.activated.connect(lambda _index: self._change_rate(int(self.rate.currentData())))
        self._grid.addWidget(label, row, 0)
        self._grid.addWidget(self.rate, row, 1, Qt.AlignmentFlag.AlignLeft)

    def _change_rate(self, rate: int) -> None:
        words = tr("Session at {0:g} kHz", rate / 1000)
        self._desk.store.apply(lambda session: set_rate(session, rate), words)

    def rows(self) -> list[tuple[str, str]]:
        desk, session = self._desk, self._desk.session
        places, history = desk.recordings.places, desk.store.history
        frames = extent_of(session)
        bars = session.metre.bar_at(session.beat_of(frames)) if frames else 0.0
        own = [places[each.content] for each in session.recordings if each.content in places]
        unheard = list(desk.document.unheard.values())
        steps = len(history.past) + len(history.future)
        folder, clips = desk.document.folder, sum(1 for _ in session.clips)
        idle = f"{counted(len(unheard), 'file')}, {megabytes(bytes_in(unheard))}" if unheard else tr("none")
        return [
            (tr("Name"), desk.document.title),
            (tr("Folder"), readable(folder) if folder else tr("not saved")),
            (tr("Length"), tr("{0}, about {1} bars", clock(frames / session.rate), plain(max(0.0, bars)))),
            (
                tr("Tempo"),
                tr(
                    "{0} bpm, {1}",
                    tempo_words(session.tempo),
                    ", ".join(dict.fromkeys(each.words for each in session.metre.metres)),
                ),
            ),
            (tr("Tracks"), f"{counted(len(session.tracks), 'track')}, {counted(clips, 'clip')}"),
            (tr("Hits"), f"{hits_in(session):,}".replace(",", " ")),
            (tr("Kits"), f"{counted(len(session.kits), 'kit')}, {counted(len(session.patterns), 'pattern')}"),
            (tr("Recordings"), f"{counted(len(session.recordings), 'file')}, {megabytes(bytes_in(own))}"),
            (tr("Unused"), idle),
            (tr("History"), counted(steps, "step")),
        ]

    def ask_and_drop(self) -> None:
        """What nothing plays, how much that frees, and what it costs: undone once it is said."""
        files = self._desk.document.unheard
        names = ", ".join(f"“{readable(path.name)}”" for path in files.values())
        box = question(
            self,
            tr("Remove {0} that no clip plays? {1}", counted(len(files), "recording"), names),
            tr(
                "Saving the session will delete {0} from its folder. Files elsewhere stay. The "
                "undo history is cleared, because it needs these recordings.",
                megabytes(bytes_in(list(files.values()))),
            ),
        )
        forget = box.addButton(tr("Remove"), QMessageBox.ButtonRole.DestructiveRole)
        box.addButton(QMessageBox.StandardButton.Cancel)
        box.buttonClicked.connect(lambda button: self.forget() if button is forget else None)
        box.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        box.open()

    def forget(self) -> None:
        self._desk.document.drop_unheard()
        self._desk.say(tr("Removed. Save the session to free the disk space."))
        self.accept()
