"""Opening, saving and finding sessions, by dialog or menu; nothing is closed unasked."""

from collections.abc import Callable
from pathlib import Path

from chronotome import demo
from chronotome.errors import readable
from chronotome.files.audio_file import SUFFIXES
from chronotome.files.pack import SUFFIX as PACK
from chronotome.files.pack import is_pack
from chronotome.files.session_file import document_of
from chronotome.files.session_lock import Holder
from chronotome.session.limits import ContentHash
from chronotome.ui.commands.keeping import Keeping
from chronotome.ui.commands.leaving import Leaving
from chronotome.ui.state.asking import CANCEL, OPEN, Answer, Role
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

DEMO_SESSION = Path(demo.__file__).parent / "harbour-ferry"


class SessionFiles:
    """What the menu Session does with files. Edits that are not saved are asked about first."""

    def __init__(self, desk: UiContext, tell: Callable[[str], None]) -> None:
        self._desk, self._tell = desk, tell
        self.leaving = Leaving(desk, self._ask_folder)
        self.when_safe = self.leaving.when_safe
        self.keeping = Keeping(desk, self.when_safe)
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
        names = self._desk.ask.files(
            tr("Open"),
            str(Path.home()),
            tr("Audio and sessions ({0} session.json *{1})", endings, PACK),
        )
        if names:
            self.open_safely(names)

    def open_folder(self) -> None:
        folder = self._desk.ask.folder(tr("Open session folder"), str(Path.home()))
        if folder is not None:
            self.open_safely([folder])

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
        return self._desk.ask.new_file(tr("Save session as folder"), usual)

    def _on_saved(self) -> None:
        self.remember()
        if self._desk.document.folder is not None:
            self._tell(tr("Saved in “{0}”", self._desk.document.folder))

    def _on_held(self, path: Path, holder: Holder) -> None:
        name = readable(document_of(path).parent.name)
        more = tr(
            "Changes stay in the other window. You can open a copy here and save it under another name."
        )
        copy = Answer("copy", Role.DO, tr("Open a copy"))

        def decide(answer: Answer) -> None:
            if answer is copy:
                self._desk.document.open_session(path, as_copy=True)

        text = tr("“{0}” is already open {1}", name, holder.words)
        self._desk.ask.decide(text, more, (copy, CANCEL), decide)

    def _on_missing(self, missing: dict[str, str]) -> None:
        names = ", ".join(f"“{name}”" for name in missing.values())
        more = tr("Their clips are silent until you find them. Choose the folder that contains them?")

        def decide(answer: Answer) -> None:
            if answer is OPEN:
                self.find_missing()

        self._desk.ask.decide(tr("Missing: {0}", names), more, (OPEN, CANCEL), decide)

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
        anew = Answer("anew", Role.DO, tr("Write file and save"))
        look = Answer("look", Role.OTHER, tr("Choose folder…"))

        def decide(answer: Answer) -> None:
            if answer is anew:
                self._desk.document.write_anew(lost, self.save)
            elif answer is look:
                self.find_missing()

        answers = (anew, look, CANCEL) if can_write else (look, CANCEL)
        self._desk.ask.decide(text, more, answers, decide)

    def find_missing(self) -> None:
        if not self._desk.recordings.lost:
            self._tell(tr("No recording is missing"))
            return
        folder = self._desk.ask.folder(tr("Choose folder with recordings"), str(Path.home()))
        if folder is not None:
            self._desk.recordings.find_missing([folder])
