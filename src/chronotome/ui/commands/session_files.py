"""Opening, saving and finding sessions, by dialog or menu; nothing is closed unasked."""

from collections.abc import Callable
from pathlib import Path

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QAbstractButton, QFileDialog, QMenu, QMessageBox, QWidget

from chronotome import demo
from chronotome.errors import readable
from chronotome.files.audio_file import SUFFIXES
from chronotome.files.names import path_from, shown
from chronotome.files.pack import SUFFIX as PACK
from chronotome.files.pack import is_pack
from chronotome.files.session_file import document_of
from chronotome.files.session_lock import Holder
from chronotome.session.limits import ContentHash
from chronotome.ui.commands.keeping import Keeping
from chronotome.ui.commands.leaving import Leaving
from chronotome.ui.controls.plain_text import question, tip
from chronotome.ui.ui_context import UiContext
from chronotome.words import tr

LONGEST_FOLDER, FIRST_LETTERS = 40, 12
DEMO_SESSION = Path(demo.__file__).parent / "harbour-ferry"


def _short(path: Path) -> str:
    """Its name, and the folder it lies in: from home on, without the middle where that is long."""
    folder = str(path.parent).replace(str(Path.home()), "~", 1)
    if len(folder) > LONGEST_FOLDER:
        folder = f"{folder[:FIRST_LETTERS]}…{folder[FIRST_LETTERS - LONGEST_FOLDER :]}"
    return f"{shown(path.name)}  ·  {shown(folder)}"


class SessionFiles:
    """What the menu Session does with files. Edits that are not saved are asked about first."""

    def __init__(self, window: QWidget, desk: UiContext, tell: Callable[[str], None]) -> None:
        self._window, self._desk, self._tell = window, desk, tell
        self.recent = QMenu(tr("Open recent"), window)
        self.recent.aboutToShow.connect(self._fill_recent)
        self.leaving = Leaving(window, desk, self._ask_folder)
        self.when_safe = self.leaving.when_safe
        self.keeping = Keeping(window, desk, self.when_safe)
        desk.document.saved.connect(self._on_saved)
        desk.recordings.missing.connect(self._on_missing)
        desk.document.lost.connect(self._on_lost)
        desk.document.held.connect(self._on_held)

    def remember(self) -> None:
        """The session's folder is among the recent ones."""
        folder = self._desk.document.folder
        if folder is not None:
            self._desk.preferences.remember(folder)

    def open_demo(self) -> None:
        self.when_safe(lambda: self._desk.document.open_session(DEMO_SESSION, as_copy=True))

    def new(self) -> None:
        self.when_safe(self._desk.document.new)

    def ask_and_open(self) -> None:
        endings = " ".join(f"*{suffix}" for suffix in SUFFIXES)
        names, _ = QFileDialog.getOpenFileNames(
            self._window,
            tr("Open"),
            str(Path.home()),
            tr("Audio and sessions ({0} session.json *{1})", endings, PACK),
        )
        if names:
            self.open_safely([Path(name) for name in names])

    def open_folder(self) -> None:
        name = QFileDialog.getExistingDirectory(self._window, tr("Open session folder"), str(Path.home()))
        if name:
            self.open_safely([Path(name)])

    def open_safely(self, paths: list[Path]) -> None:
        """After asking about edits that are not saved, where a session is among them."""
        if any(path.is_dir() or path.name.endswith(".json") for path in paths):
            self.when_safe(lambda: self.open_now(paths))
        else:
            self.open_now(paths)

    def open_now(self, paths: list[Path]) -> None:
        """Sessions, recordings, and what is packed, once it is said where it goes."""
        paths = [path.absolute() for path in paths]
        for path in filter(is_pack, paths):
            self.keeping.ask_where(path)
        others = [path for path in paths if not is_pack(path)]
        if others:
            self._desk.document.open(others)
            self.remember_files(others)

    def remember_files(self, paths: list[Path]) -> None:
        """Recordings that are there, the newest first."""
        sounds = [path for path in paths if path.suffix.lower() in SUFFIXES and path.is_file()]
        if sounds:
            self._desk.preferences.remember_files(sounds)

    def _fill_recent(self) -> None:
        """Recent sessions and recordings."""
        self.recent.clear()
        settings = self._desk.preferences.settings
        for title, names in ((tr("Sessions"), settings.recent), (tr("Recordings"), settings.recent_files)):
            if names:
                self.recent.addSection(title)
            for name in names:
                path = path_from(name)
                action = self.recent.addAction(_short(path).replace("&", "&&"))
                action.setToolTip(tip(shown(str(path))))
                action.triggered.connect(lambda _checked=False, path=path: self.open_safely([path]))
        if settings.recent or settings.recent_files:
            self.recent.addSeparator()
            self.recent.addAction(tr("Clear list"), self.forget_recent)
        self.recent.setEnabled(bool(settings.recent or settings.recent_files))

    def forget_recent(self) -> None:
        self._desk.preferences.keep(recent=(), recent_files=())

    def save(self) -> None:
        folder = self._desk.document.folder
        if folder is None:
            self.save_as()
        else:
            self._desk.document.save(folder)

    def save_as(self) -> None:
        folder = self._ask_folder()
        if folder is not None:
            self._desk.document.save(folder)

    def _ask_folder(self) -> Path | None:
        usual = str(Path.home() / self._desk.document.title)
        name, _ = QFileDialog.getSaveFileName(self._window, tr("Save session as folder"), usual)
        return Path(name) if name else None

    def _on_saved(self) -> None:
        self.remember()
        if self._desk.document.folder is not None:
            self._tell(tr("Saved in “{0}”", self._desk.document.folder))

    def _on_held(self, path: Path, holder: Holder) -> None:
        name = readable(document_of(path).parent.name)
        more = tr(
            "Changes stay in the other window. You can open a copy here and save it under another name."
        )
        box = question(self._window, tr("“{0}” is already open {1}", name, holder.words), more)
        copy = box.addButton(tr("Open a copy"), QMessageBox.ButtonRole.AcceptRole)
        box.addButton(QMessageBox.StandardButton.Cancel)
        box.setDefaultButton(copy)
        box.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        box.accepted.connect(lambda: self._desk.document.open_session(path, as_copy=True))
        box.open()

    def _on_missing(self, missing: dict[str, str]) -> None:
        names = ", ".join(f"“{name}”" for name in missing.values())
        more = tr("Their clips are silent until you find them. Choose the folder that contains them?")
        box = question(self._window, tr("Missing: {0}", names), more)
        box.setStandardButtons(QMessageBox.StandardButton.Open | QMessageBox.StandardButton.Cancel)
        box.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        box.accepted.connect(self.find_missing)
        box.open()

    def _on_lost(self, lost: dict[ContentHash, str]) -> None:
        """A save that would leave nothing to open: say so, and offer what can be done."""
        names = ", ".join(f"“{readable(name)}”" for name in lost.values())
        self._desk.recordings.lost.update(lost)
        can_write = set(lost) <= set(self._desk.recordings.pool.ready())
        more = (
            tr("Its audio is still in memory. Chronotome can write the file again and save.")
            if can_write
            else tr("Choose the folder that contains them, then save again.")
        )
        text = tr("Nothing was saved: {0} is missing or was replaced by another file.", names)
        box = question(self._window, text, more)
        roles = QMessageBox.ButtonRole
        anew = box.addButton(tr("Write file and save"), roles.AcceptRole) if can_write else None
        look = box.addButton(tr("Choose folder…"), roles.ActionRole)
        box.addButton(QMessageBox.StandardButton.Cancel)
        box.setDefaultButton(anew or look)
        box.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)

        def decide(button: QAbstractButton) -> None:
            if button is anew:
                self._desk.document.write_anew(lost, self.save)
            elif button is look:
                self.find_missing()

        box.buttonClicked.connect(decide)
        box.open()

    def find_missing(self) -> None:
        if not self._desk.recordings.lost:
            self._tell(tr("No recording is missing"))
            return
        name = QFileDialog.getExistingDirectory(
            self._window, tr("Choose folder with recordings"), str(Path.home())
        )
        if name:
            self._desk.recordings.find_missing([Path(name)])
