"""Sections over the ruler: named spans to jump to and to loop."""

from collections.abc import Callable, Sequence
from functools import partial

from chronotome.bridge.store import Edit
from chronotome.session.edits.sections import change_section
from chronotome.session.model import Section, Session
from chronotome.ui.commands.sections import SectionCommands
from chronotome.ui.commands.song import SongCommands
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.span_strip import SpanStrip, Strip
from chronotome.words import tr


class SectionLane(SpanStrip):
    """Click: jump there. Double-click: loop it. Drag an end: another span. It is there where sections are."""

    hint = tr(
        "Click a section to go there, double-click to loop it.\nDrag its ends to resize. "
        "Right-click for more."
    )
    title, label = tr("Sections"), tr("Edit section")

    def __init__(self, desk: UiContext, commands: SectionCommands, song: SongCommands) -> None:
        super().__init__(desk, tr("Sections"))
        self._commands, self._song = commands, song
        desk.store.watch(self, self._on_sections, lambda session: session.sections)

    def _on_sections(self) -> None:
        self.setVisible(bool(self.desk.session.sections))

    def _section(self, number: int) -> Section:
        return self.desk.session.sections[number]

    def spans(self) -> Sequence[Strip]:
        session = self.desk.session
        looped = session.loop if session.is_looping else None
        ends = None if looped is None else (looped.start, looped.end)
        return [
            Strip(each.name, each.start, each.end, (each.start, each.end) == ends)
            for each in session.sections
        ]

    def go_to(self, number: int) -> None:
        self._commands.go_to(self._section(number))

    def open(self, number: int) -> None:
        self._commands.loop(self._section(number))

    def moved(self, number: int, end: str, beat: float) -> Edit:
        section = self.desk.store.history.session.sections[number]

        def edit(session: Session) -> Session:
            return change_section(session, section, **{end: beat})

        return edit

    def choices(self, number: int) -> Sequence[tuple[str, Callable[[], None]]]:
        section, commands = self._section(number), self._commands
        return [
            (tr("Go to section"), partial(commands.go_to, section)),
            (tr("Loop"), partial(commands.loop, section)),
            (tr("Rename…"), partial(commands.rename, section)),
            (tr("Set tempo…"), partial(self._song.ask_section_tempo, section)),
            (tr("Change metre…"), partial(self._song.ask_section_metre, section)),
            (tr("Remove"), partial(commands.remove, section)),
        ]
