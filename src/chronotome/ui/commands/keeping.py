"""What the menu Session does beyond opening and saving: copies, packed files, templates, what is in it."""

from collections.abc import Callable
from pathlib import Path

from chronotome.errors import ChronotomeError
from chronotome.files.names import shown
from chronotome.files.pack import SUFFIX
from chronotome.files.templates import keep_template, read_template
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

PACKED = tr("Packed sessions (*{0})", SUFFIX)


class Keeping:
    """`when_safe` runs what closes the session, once edits that are not saved were asked about."""

    def __init__(self, desk: UiContext, when_safe: Callable[[Callable[[], None]], None]) -> None:
        self._desk, self._when_safe = desk, when_safe

    @property
    def _usual(self) -> Path:
        return (self._desk.document.folder or Path.home() / "session").parent

    def save_copy(self) -> None:
        usual = str(self._usual / tr("{0} copy", self._desk.document.title))
        name = self._desk.ask.new_file(tr("Save copy as folder"), usual)
        if name is not None:
            self._desk.document.save_copy(name)

    def pack(self) -> None:
        """The session, its history and all recordings as one file."""
        usual = str(self._usual / f"{self._desk.document.title}{SUFFIX}")
        name = self._desk.ask.new_file(tr("Pack session"), usual, PACKED)
        if name is not None:
            self._desk.document.pack(name)

    def unpack(self) -> None:
        name = self._desk.ask.file(tr("Unpack session"), str(self._usual), PACKED)
        if name is not None:
            self.ask_where(name)

    def ask_where(self, path: Path) -> None:
        """A packed session goes into a folder of its own before it is opened."""
        usual = str(path.with_suffix(""))
        name = self._desk.ask.new_file(tr("New folder for “{0}”", shown(path.name)), usual)
        if name is not None:
            self._when_safe(lambda: self._desk.document.unpack(path, name))

    def ask_template(self) -> None:
        """What the session is without its sound, for new sessions to begin with."""
        name = self._desk.ask.text(
            tr("Save as template"),
            tr("A template keeps tempo, metre, grooves, sections and track\nsettings, but no audio. Name:"),
            self._desk.document.title,
        )
        if name is not None and name.strip():
            kept = keep_template(name, self._desk.session)
            self._desk.say(tr("Saved template “{0}”. Open it with File > New from template.", kept))

    def use_template(self, name: str) -> None:
        """Begin anew with one; what is wrong with it is said."""
        try:
            session = read_template(name)
        except ChronotomeError as error:
            self._desk.tasks.error.emit(str(error))
        else:
            self._when_safe(lambda: self._desk.document.use_template(session))

    def show_information(self) -> None:
        self._desk.ask.information(self._desk)
