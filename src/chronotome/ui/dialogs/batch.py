"""The same for many files: what is done, with which files, where to, and what became of each."""

from collections.abc import Sequence
from pathlib import Path

from PySide6.QtGui import QDragEnterEvent, QDragMoveEvent, QDropEvent, QGuiApplication
from PySide6.QtWidgets import (
    QFileDialog,
    QFormLayout,
    QHBoxLayout,
    QHeaderView,
    QLineEdit,
    QTreeWidget,
    QTreeWidgetItem,
    QVBoxLayout,
    QWidget,
)

from chronotome.bridge.batching import Batching
from chronotome.errors import Cancelled, ChronotomeError
from chronotome.files.audio_file import SUFFIXES
from chronotome.files.audio_out import ENCODINGS
from chronotome.files.batch import (
    LIKE,
    SPLIT_NAMES,
    SUFFIX,
    BatchPreset,
    Doing,
    Outcome,
    report,
    sounds_in,
    write_recipe,
)
from chronotome.files.names import shown
from chronotome.files.naming import WrongTemplate, names_by
from chronotome.session.edits.slicing import At
from chronotome.session.onset_filter import USUAL_THRESHOLD
from chronotome.session.settings import Moving
from chronotome.ui.controls.combo import Combo
from chronotome.ui.controls.dialog import Dialog
from chronotome.ui.controls.dropping import take_as_copy
from chronotome.ui.controls.plain_button import plain_button
from chronotome.ui.controls.plain_text import Label, tip
from chronotome.ui.controls.segmented import Segmented
from chronotome.ui.state.figures import counted, grid_words, percent
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

WIDTH, HEIGHT = 620, 560
DOINGS = ((tr("Tighten"), Doing.TIGHTEN), (tr("Straighten"), Doing.STRAIGHTEN), (tr("Slice"), Doing.SPLIT))
CUTS = (
    (tr("at onsets"), At.ONSETS, 0.5),
    (tr("on 1/4 lines"), At.LINES, 1.0),
    (tr("on 1/8 lines"), At.LINES, 0.5),
    (tr("on 1/16 lines"), At.LINES, 0.25),
    (tr("in 8 equal parts"), At.PARTS, 0.5),
)
OWN_TEMPO, SONG_TEMPO = range(2)


class BatchDialog(Dialog):
    """Stays open beside the window; closing it while it works asks for nothing and goes on working."""

    def __init__(self, desk: UiContext, batching: Batching, parent: QWidget) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Process files"))
        self.setModal(False)
        self.resize(WIDTH, HEIGHT)
        self.setAcceptDrops(True)
        self._desk, self._batching = desk, batching
        self.paths: list[Path] = []
        self.outcomes: list[Outcome] = []
        self.folder: Path | None = None
        layout = QVBoxLayout(self)
        layout.setSpacing(10)
        layout.addLayout(self._build_what())
        self.list = self._build_list()
        layout.addWidget(self.list, 1)
        layout.addLayout(self._build_files())
        layout.addLayout(self._build_end())
        batching.progressed.connect(self._on_progress)
        batching.ended.connect(self._on_ended)
        batching.finished.connect(self._on_finished)
        desk.store.kept.connect(self._show)
        desk.view.chosen.focus_changed.connect(self._show)
        self._show()

    # Building

    def _build_what(self) -> QFormLayout:
        view, form = self._desk.view, QFormLayout()
        self.do = Segmented(view, tr("Task"), [words for words, _ in DOINGS])
        self.do.chosen.connect(lambda _index: self._show())
        form.addRow(tr("Task"), self.do)
        self.about = Label()
        self.about.setObjectName("soft")
        self.about.setWordWrap(True)
        form.addRow("", self.about)
        self.tempo = Segmented(view, tr("Tempo"), [tr("of each file"), tr("of the song")])
        form.addRow(tr("Tempo"), self.tempo)
        self.cuts = Combo(tr("Slice position"), [words for words, *_ in CUTS])
        self.names = QLineEdit(SPLIT_NAMES)
        self.names.setAccessibleName(tr("Slice names"))
        self.names.textEdited.connect(lambda _text: self._show())
        form.addRow(tr("Slice at"), self.cuts)
        form.addRow(tr("File names"), self.names)
        self.kind = Combo(
            tr("File format"), [tr("same as each file"), *(each.words for each in ENCODINGS.values())]
        )
        form.addRow(tr("File format"), self.kind)
        self._form = form
        return form

    def _build_list(self) -> QTreeWidget:
        made = QTreeWidget()
        made.setColumnCount(2)
        made.setHeaderHidden(True)
        made.setRootIsDecorated(False)
        made.setUniformRowHeights(True)
        made.setAccessibleName(tr("Files and results"))
        made.header().setStretchLastSection(True)
        made.header().setSectionResizeMode(0, QHeaderView.ResizeMode.Interactive)
        made.header().resizeSection(0, 240)
        return made

    def _build_files(self) -> QHBoxLayout:
        row = QHBoxLayout()
        plain_button(tr("Add files…"), self._ask_files, row)
        plain_button(tr("Add folder…"), self._ask_folder, row)
        self.remove = plain_button(tr("Remove"), self._take_out, row)
        row.addStretch(1)
        self.to = Label(tr("No output folder"))
        self.to.setObjectName("soft")
        row.addWidget(self.to)
        plain_button(tr("Output folder…"), self._ask_out, row)
        return row

    def _build_end(self) -> QHBoxLayout:
        row = QHBoxLayout()
        plain_button(tr("Save preset…"), self._ask_recipe, row)
        self.copy = plain_button(tr("Copy report"), self._copy, row)
        self.told = Label()
        self.told.setObjectName("soft")
        row.addWidget(self.told, 1)
        self.go = plain_button(tr("Start"), self._on_go, row)
        self.go.setObjectName("main")
        return row

    # What is meant

    @property
    def doing(self) -> Doing:
        return DOINGS[self.do.index][1]

    @property
    def recipe(self) -> BatchPreset:
        """What is chosen here, with the present settings of the track that is worked on."""
        desk, session = self._desk, self._desk.session
        track, shown_clip = desk.view.chosen.focused, desk.shown
        settings = desk.view.recipe
        groove = session.groove(settings.groove)
        _, cut_at, step = CUTS[max(0, self.cuts.currentIndex())]
        is_songs = self.tempo.index == SONG_TEMPO
        return BatchPreset(
            do=self.doing,
            bpm=session.tempo.at(session.beat_of(desk.transport.position)) if is_songs else None,
            tighten=settings,
            groove=groove,
            moving=Moving() if track is None else track.moving,
            threshold=USUAL_THRESHOLD if shown_clip is None else shown_clip.recording.threshold,
            steady=1.0 if track is None else track.steady,
            cut_at=cut_at,
            step=step,
            names=self.names.text(),
            encoding=[LIKE, *ENCODINGS][max(0, self.kind.currentIndex())],
        )

    def _words(self) -> str:
        track, settings = self._desk.view.chosen.focused, self._desk.view.recipe
        if track is None:
            return tr("Default settings. To use your own, open a recording and select its track.")
        if self.doing is Doing.STRAIGHTEN:
            return tr(
                "As {0}: remove {1} of the tempo drift of each file.", track.name, percent(100 * track.steady)
            )
        if self.doing is Doing.SPLIT:
            return tr("Slice each file into a folder of short files. Joined, they are the original.")
        groove = self._desk.session.groove(settings.groove)
        aim = grid_words(settings.grid) if groove is None else tr("groove {0}", groove.name)
        return tr(
            "As {0}: {1} to {2}, {3}.", track.name, percent(100 * settings.strength), aim, track.moving.by
        )

    # Doing

    def add(self, paths: Sequence[Path]) -> None:
        """Files, and the sound files of folders; each once."""
        if self._batching.is_running:
            return
        new = [each for each in sounds_in(paths) if each not in self.paths]
        self.paths += new
        for each in new:
            item = QTreeWidgetItem([shown(each.name), "waiting"])
            item.setToolTip(0, tip(shown(str(each))))
            self.list.addTopLevelItem(item)
        self._show()

    def _ask_files(self) -> None:
        endings = " ".join(f"*{suffix}" for suffix in SUFFIXES)
        names, _ = QFileDialog.getOpenFileNames(
            self, tr("Add files"), str(Path.home()), tr("Audio ({0})", endings)
        )
        self.add([Path(name) for name in names])

    def _ask_folder(self) -> None:
        name = QFileDialog.getExistingDirectory(self, tr("Add folder of audio files"), str(Path.home()))
        if name:
            self.add([Path(name)])

    def _take_out(self) -> None:
        for item in self.list.selectedItems():
            row = self.list.indexOfTopLevelItem(item)
            self.list.takeTopLevelItem(row)
            del self.paths[row]
        self._show()

    def _ask_out(self) -> None:
        name = QFileDialog.getExistingDirectory(self, tr("Choose output folder"), str(Path.home()))
        if name:
            self.write_into(Path(name))

    def write_into(self, folder: Path) -> None:
        self.folder = folder
        self.to.setText(tr("Output: “{0}”", shown(folder.name)))
        self._show()

    def _ask_recipe(self) -> None:
        usual = str(Path.home() / f"{self.doing}{SUFFIX}")
        name, _ = QFileDialog.getSaveFileName(self, tr("Save preset"), usual, tr("Presets (*{0})", SUFFIX))
        if name:
            path = Path(name if name.endswith(SUFFIX) else f"{name}{SUFFIX}")
            try:
                write_recipe(path, self.recipe)
            except ChronotomeError as error:
                self._desk.tasks.error.emit(str(error))
                return
            self._desk.say(tr("Saved. Command line: chronotome batch “{0}” FILES", shown(path.name)))

    def _on_go(self) -> None:
        if self._batching.is_running:
            self._batching.cancel()
            self.go.setEnabled(False)
        elif self.folder is not None:
            self.outcomes = []
            for row in range(len(self.paths)):
                self._tell(row, "waiting")
            self._batching.start(self.recipe, list(self.paths), self.folder)
            self._show()

    def _copy(self) -> None:
        QGuiApplication.clipboard().setText(report(self.outcomes))

    def _tell(self, row: int, words: str) -> None:
        item = self.list.topLevelItem(row)
        if item is not None:
            item.setText(1, words)
            item.setToolTip(1, tip(words))

    def _on_progress(self, number: int, share: float) -> None:
        self._tell(number, percent(100 * share))

    def _on_ended(self, number: int, outcome: Outcome) -> None:
        self.outcomes.append(outcome)
        self._tell(number, outcome.words if outcome.is_done else tr("failed: {0}", outcome.words))
        self._show()

    def _on_finished(self, error: ChronotomeError | None) -> None:
        for row in range(len(self.outcomes), len(self.paths)):
            self._tell(row, tr("skipped: cancelled") if isinstance(error, Cancelled) else tr("skipped"))
        self._show()
        done = sum(each.is_done for each in self.outcomes)
        self._desk.say(tr("{0} of {1} done", done, counted(len(self.paths), "file")))

    def _show(self) -> None:
        is_running, doing = self._batching.is_running, self.doing
        for field, is_shown in (
            (self.tempo, True),
            (self.cuts, doing is Doing.SPLIT),
            (self.names, doing is Doing.SPLIT),
            (self.kind, doing is Doing.TIGHTEN),
        ):
            self._form.setRowVisible(field, is_shown)
        wrong = self._wrong_names() if doing is Doing.SPLIT else ""
        self.about.setText(wrong or self._words())
        self.go.setText(tr("Cancel") if is_running else tr("Start"))
        is_ready = bool(self.paths) and self.folder is not None and not wrong
        self.go.setEnabled(is_running or is_ready)
        self.remove.setEnabled(not is_running and bool(self.paths))
        self.copy.setEnabled(bool(self.outcomes) and not is_running)
        failed = sum(not each.is_done for each in self.outcomes)
        words = counted(len(self.paths), "file")
        if self.outcomes:
            words = tr(
                "{0} done, {1} failed, {2} in all", len(self.outcomes) - failed, failed, len(self.paths)
            )
        self.told.setText(words)

    def _wrong_names(self) -> str:
        try:
            names_by(self.names.text(), [], "")
        except WrongTemplate as error:
            return tr("Invalid file names: {0}", error)
        return ""

    def dragEnterEvent(self, event: QDragEnterEvent) -> None:
        if event.mimeData().hasUrls():
            take_as_copy(event)

    def dragMoveEvent(self, event: QDragMoveEvent) -> None:
        take_as_copy(event)

    def dropEvent(self, event: QDropEvent) -> None:
        take_as_copy(event)
        self.add([Path(url.toLocalFile()) for url in event.mimeData().urls() if url.isLocalFile()])
