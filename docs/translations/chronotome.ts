<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1">
<context>
    <name>Chronotome</name>
    <message>
        <location filename="ui/dialogs/keys_and_marks.py"/>
        <source>
&lt;p&gt;&lt;b&gt;Shape first, colour second&lt;/b&gt;&lt;/p&gt;
&lt;p&gt;▼ notch on the wave: an onset. Hollow: below the threshold.&lt;br&gt;
◆ on the ruler: a hit that was set by hand. ◇: placed by Tighten.&lt;br&gt;
▲ early, ▼ late, ○ left alone: a hit as it was played. The small ring: where it lands.&lt;br&gt;
Hatching under the wave: stretched, by the ratio printed on it.&lt;br&gt;
Ochre: a place to check. N goes to the next one.&lt;/p&gt;
&lt;p&gt;■ ● ▲ on a stem: low, mid, high. A bar under a mark: it is locked.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;The mouse in Mark&lt;/b&gt;&lt;/p&gt;
&lt;p&gt;Click a notch or a stem: hear that hit. Shift: select up to it.&lt;br&gt;
Drag a notch: the mark is corrected, the sound stays. Ctrl: the sound slips, the mark stays.&lt;br&gt;
Shift (or Alt) while dragging: no snap.&lt;br&gt;
Double-click the wave adds an onset, a mark is dropped or kept. Drag over wave or stems selects.&lt;br&gt;
In the lens a pixel is a frame.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;The mouse in Fit&lt;/b&gt;&lt;/p&gt;
&lt;p&gt;Drag a beat or a bar in the Pulse lane; from a bar that is dragged far, later ones count on.&lt;br&gt;
Double-click a diamond there: as it was found.&lt;br&gt;
Click a faint line: the recording has that tempo. Ctrl+drag the end of the sound: it is that many bars.&lt;br&gt;
A section: click jumps, double-click loops, its ends can be dragged.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;The mouse in Tighten&lt;/b&gt;&lt;/p&gt;
&lt;p&gt;Shift+click a notch or a triangle: choose more hits; drag over the wave or the Drift lane: several.
What is chosen moves together. Ctrl+drag: the hits beside it stay. A drag stops where sound is stretched
more than it bears; Alt pushes through. Double-click the wave: a warp marker there, its neighbours held.&lt;br&gt;
Groove: drag a step up or down, Shift draws over many, Ctrl its loudness, double-click: on its line.&lt;br&gt;
Match: drag the end of a line, or a lone hit, to another hit to pair them.&lt;br&gt;
In the folded bar a click chooses all hits of a step. A span under the ruler: click for its recipe,
drag its ends.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;The mouse in Rework&lt;/b&gt;&lt;/p&gt;
&lt;p&gt;A clip’s strip: click chooses, with Shift more of them; drag moves in whole steps, to another track too;
Ctrl+drag copies. Its edges trim: the sound stays where it is.&lt;br&gt;
The rings at its upper corners fade, the arrow at its lower corner repeats.&lt;br&gt;
Drag over waves, of several tracks too: a range. X cuts at its ends; copy, cut out, duplicate, delete, reverse
and mute act on what is between, Shift+L loops it, Esc lets go of it.&lt;br&gt;
Curves where clips overlap: they cross over. A broken line: muted. An arrow to the left: reversed.&lt;br&gt;
A track’s header: drag moves it among the others, its lower edge makes the lane taller, lower or folds it.
Double-click on the name of the tall one: rename.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;Hits that were taken apart (Ctrl+H)&lt;/b&gt;&lt;/p&gt;
&lt;p&gt;A hit in the wave: click chooses and hears it, with Shift more of them; drag moves it to a line,
Ctrl+drag copies, its end makes it longer or shorter. Drag along the foot, or in a gap: several.&lt;br&gt;
At its foot stands what was done to it: ← reversed, ×4 or ≣ a roll, +3 its pitch, ~ scattered.&lt;br&gt;
Shape: draw a value over hits; Shift: a line, Ctrl: a curve up and back, Alt: without steps. On the ring
of a chosen hit: all chosen ones move together. Double-click: type it. Arrows up and down nudge it.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;Patterns and keys (Ctrl+U, Ctrl+P, F8)&lt;/b&gt;&lt;/p&gt;
&lt;p&gt;Click or draw on an empty cell: steps. A step: drag moves it, its end lengthens, Ctrl up and down:
loudness, Ctrl+Shift: chance, Ctrl+Alt: repeats. The right button erases. A row’s key: all its steps.&lt;br&gt;
A bar is as long as it sounds, as high as it is loud. Broken: by chance, filled to its odds.
Combed: repeats.&lt;br&gt;
While letters play (F8): , and . reach more slices, Backspace takes the last round back, Esc ends it.&lt;/p&gt;
&lt;p&gt;&lt;b&gt;The mouse&lt;/b&gt;&lt;/p&gt;
&lt;p&gt;Wheel scrolls, Ctrl+wheel zooms where the pointer is.&lt;br&gt;
Drag a drift mark, a notch or a diamond to move that hit; Alt: without snap; Escape: leave it.&lt;br&gt;
Double-click a mark takes back what was set by hand.&lt;br&gt;
Drag over the ruler loops that span.&lt;/p&gt;
</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>
{0} bpm, {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/recovery.py"/>
        <source> You are opening {0}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source> and </source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source> and {0} more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/analyses.py"/>
        <source> as {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source> chosen</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source> of {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_lock.py"/>
        <source> on {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source> · swing {0:.0f} %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>&amp;Recent</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/rough.py"/>
        <source>+{0:.0f} dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>, and all after it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/told.py"/>
        <source>, clicks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>, drifting</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/told.py"/>
        <source>, locked</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>, sure to ±{0:.1f} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>, {0:.0f} % sure</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/told.py"/>
        <source>, {0} % of the time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/check_rows.py"/>
        <source>, {0} more: N</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>, {0} to check</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>, {0} undone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>. There is {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>1 Mark</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>1 bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>1 ms earlier</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>1 ms later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>1 ms less</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>1 ms more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>1 of 2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>1 of 3</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>1 of 4</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>1 of 8</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>1/16 beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>1/2 beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>1/32 beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>1/4 beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>1/8 beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>16 bit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>2 Fit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>2 bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>24 bit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>3 Tighten</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>4 Rework</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>5 % less</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>5 % more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>5 Export</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>5 ms less</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>5 ms more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/others.py"/>
        <source>A MIDI clock starts and stops playback; its tempo is shown</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>A clip holds {0:,} hits at most: {1:,} were added</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/document.py"/>
        <source>A copy is in “{0}”; this is still “{1}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>A folder for the shelf</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/slice_lane.py"/>
        <source>A hit: click chooses and hears it, drag moves, Ctrl+drag copies, its end makes it longer. Drag along the foot: several.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>A mark is pulled to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/lens.py"/>
        <source>A mark under the pointer is seen here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>A new folder for the kit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>A new folder for the pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>A new folder for the slices</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>A new folder for the stems</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/keeping.py"/>
        <source>A new folder for “{0}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/wave_lane.py"/>
        <source>A notch: click hears it, drag corrects the mark, Ctrl+drag slips the sound. Double-click adds or drops. Drag over the wave selects.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>A pattern keeps the song’s time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>A place on this machine</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>A stand-in, for trying it out: it keeps what it is given in a folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_lane.py"/>
        <source>A strip: click chooses, drag moves, Ctrl+drag copies. Edges trim, corners fade. Drag over waves: a range.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>A switches between both, at one level and without a gap: nothing is ever lost.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>A triangle is a hit as it was played, the ring is where it lands. Drag one up or down.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/moving_rows.py"/>
        <source>A voice keeps its colour at that pitch</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Accent on one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/check_rows.py"/>
        <source>Accept</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Accept as it is</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Accept the place as it is</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Add a folder of sound files</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Add a folder with sound files or patterns. Nothing in it is altered.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Add a folder…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Add an empty track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Add files</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Add files…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Add folder…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Add hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>Add hits to the kit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Add onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Add track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/sections.py"/>
        <source>Add {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Address of the sharing place</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Alike</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/folded_bar.py"/>
        <source>All hits folded into one bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>All lines</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>All of it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>All that are less softer than the loudest than (dB):</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pair_rows.py"/>
        <source>Alone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Among the others {0} is {1} now</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Amount</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>An action, a track, a section, a place to check, or keys</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions.py"/>
        <source>Apart</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>As found</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/slice_files.py"/>
        <source>As it stands {0}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>As it was</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>As it was opened</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>As measured</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>As played</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>As played, edited</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/shape_lane.py"/>
        <source>As played, nothing is shaped: A listens to it as edited</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>As recorded</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>As the desktop</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>As {0}: {1} of its own drift is taken out.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>As {0}: {1} to {2}, {3}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>Ask whoever packed it to pack it again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/sharing.py"/>
        <source>Asking the secret store</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>At song’s tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Automatic</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>BAR</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/manual.py"/>
        <source>Back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Back by 8 bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Back by a bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Bands</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>Bar 1 moved right by {0}, and all with it: a pickup lies before it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Bar number</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Bar {0} here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Bar … is here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Bars by hand: a bar is here, every hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/moving.py"/>
        <source>Bears up to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Beat by beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Beat one  {0}  {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Beat one here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Beat one not set</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Beat ←</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Beat →</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Beats come from</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Beats from this bar on: double</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Beats from this bar on: half</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Beats from this bar on: one earlier</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Beats from this bar on: one later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Beats of the recording</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Being listened to: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Being listened to…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Bell</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Bend the grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/groove_rows.py"/>
        <source>Blend</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/groove_rows.py"/>
        <source>Blend grooves</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/groove_rows.py"/>
        <source>Blend the groove with another one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/groove_rows.py"/>
        <source>Blend…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Both at one level, switched where it plays ({0})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Bounce in place</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Bounce the whole track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Bounce to a track of its own</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/bouncing.py"/>
        <source>Bounce {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/bouncing.py"/>
        <source>Bouncing {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/bound_controls.py"/>
        <source>Bound controls</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Bound controls…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Break</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Break pair</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Break the pair</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Bring a groove file…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/recovery.py"/>
        <source>Bring back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/recovery.py"/>
        <source>Bring back only</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Bring back what was bounced</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/recovery.py"/>
        <source>Bring back, and add the files</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Bring groove {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/recovery.py"/>
        <source>Bring it in</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Bring the old file back, or open it anew.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Bring the recording back whole</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/main_window.py"/>
        <source>Brought back {0} of “{1}”: save it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>By ear cuts while it plays: Space starts it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>By ear: a free key cuts a slice where it plays; one that is taken goes there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Cancel</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>Cancel the running work</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="errors.py"/>
        <source>Cancelled. Nothing was changed.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Cancelled: what was handed over is taken back.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Catch range</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Chance</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Chance and repeats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Chance: draw again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Chance: keep this round</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Change its permissions, or copy it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/sections.py"/>
        <source>Change section</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Change shortcuts…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/recipe_lane.py"/>
        <source>Change span of a recipe</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/notes.py"/>
        <source>Check that it is a MIDI file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/headless.py"/>
        <source>Check that it is the right file, and its level.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/grooves.py"/>
        <source>Check that it is the right file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/patterns.py"/>
        <source>Check that it is the right folder.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/grooves.py"/>
        <source>Check the file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Check the name, or where it was moved to.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/application.py"/>
        <source>Check the name.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Choke group</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Choke group of the slices of chosen steps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Choked by</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/alike.py"/>
        <source>Choose</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Choose a bar in the Pulse lane first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Choose a clip to {0} it: click its name in Rework</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Choose a file inside it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Choose a file that has some.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>Choose a file that “Pack the session” wrote.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>Choose a folder with a session.json.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/slice_files.py"/>
        <source>Choose a folder…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Choose a hit first: those of its band are chosen with it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Choose a hit first: two beats around it are played</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Choose a hit that is paired first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Choose a hit: Q takes it to the earlier line, E to the later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/loop_file.py"/>
        <source>Choose a longer one.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>Choose a new or an empty folder.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/batch.py"/>
        <source>Choose a recipe that was saved from the window.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>Choose a session folder.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>Choose a smaller kind of file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Choose a sound file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>Choose a step of the slice first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>Choose a step, and say that it is {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Choose all clips of the track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Choose all hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Choose all steps of the slice</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>Choose another file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/batch.py"/>
        <source>Choose another folder, or move it away.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/writing.py"/>
        <source>Choose another folder.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/straighten.py"/>
        <source>Choose another guide.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>Choose another name.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/shelf.py"/>
        <source>Choose another one.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/batch.py"/>
        <source>Choose another recipe.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Choose bands</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>Choose hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Choose hits earlier than 20 ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Choose hits first: click them, Shift+click for more, or sweep over them</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Choose hits later than 20 ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Choose hits louder than…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Choose hits of the same band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Choose hits that sound alike…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/rework.py"/>
        <source>Choose hits to {0} them, or the clip by the strip with its name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>Choose hits to {0} them: click one in the wave, drag along its foot for several</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/noises.py"/>
        <source>Choose hits, or drag over the ruler, to say what is not to be heard</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/patterns.py"/>
        <source>Choose its folder.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Choose material</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Choose one hit of every few…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/midi_out.py"/>
        <source>Choose one that does.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Choose onsets by the grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Choose steps first: a click in the pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/rework.py"/>
        <source>Choose steps to {0} them, or the clip by the strip with its name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Choose the other hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Choose the {0} hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Choose two clips or more to group them: Shift+click adds one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Choose two hits to swap them: Shift+click adds one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Choose…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>Chosen step is {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/plain_text.py"/>
        <source>Chronotome</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Click</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>Click a groove to hear it on {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/section_lane.py"/>
        <source>Click a section to jump there, double-click to loop it, drag its ends. Right-click for more.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/recipe_lane.py"/>
        <source>Click a span for its recipe, double-click to loop it, drag its ends; Shift+Backspace removes it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Click apart</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Click of new sessions</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Click off</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Click on</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Click on the beats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pattern_lane.py"/>
        <source>Click or draw: steps. A step: drag moves, its end lengthens, Ctrl up and down: loudness, Ctrl+Shift: chance, Ctrl+Alt: repeats. Right button erases.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/context_lane.py"/>
        <source>Click to bring this track into the tall lane, and the playhead here.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/wave_lane.py"/>
        <source>Click to put the playhead. Ctrl+drag the end of the sound to a bar line: it is that many bars.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/wave_lane.py"/>
        <source>Click to put the playhead. Drag a notch to move that hit by hand. Ctrl+wheel zooms.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Click: sound, count-in, level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Clip a line earlier</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Clip a line later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Clip has a recipe of its own</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Clip is moved in a way of its own</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Clip {0} of {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions.py"/>
        <source>Clips</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/timeline.py"/>
        <source>Clips of the track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Close</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/document.py"/>
        <source>Close it there, or save elsewhere.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Close other programs, or cut the file into parts.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>Connect an output of the sound card to its input with a cable, or hold the microphone to the loudspeaker. Three times six short sounds are played, and looked for in what comes back.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/manual.py"/>
        <source>Contents</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Copy</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Copy as files for other programs</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_drag.py"/>
        <source>Copy clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Copy it to another disk.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Copy of it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Copy the address</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Copy the clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Copy the report</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Correct the tempo: half, double, as measured</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Count-in</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/rough.py"/>
        <source>Cross longer</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/moving_rows.py"/>
        <source>Cross otherwise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/moving.py"/>
        <source>Crossfade</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>Ctrl+H takes the clip apart into hits: drag them, roll them, put them on keys with Ctrl+U.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/moving_rows.py"/>
        <source>Curve of the crossfade</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Cut</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Cut a hit in two</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Cut at every bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Cut at every hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Cut at the playhead</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>Cut at the range’s ends</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Cut at the selected hit, or here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Cut by ear onto {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Cut here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Cut out clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Cut out the clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Cut out {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Cut {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>Cutting</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Dark colours</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Dark to bright</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Day</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Delay of the hand</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>Delay of the input</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Delete clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Delete clip and close the gap</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Delete clip, close the gap</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Delete {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Delete {} and close the gap</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Depth</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Description</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/recovery.py"/>
        <source>Discard</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Dither</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>Done</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>Done again: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Double</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Double tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Double the recording’s tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Double the song’s tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Double time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Double time of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Double time, sounds half as long</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>Drag a beat to where it is; far from where it was, later beats count on from it. Shift: no snap. Double-click a diamond takes it back.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/drift_lane.py"/>
        <source>Drag a drift mark up or down to move that hit; Alt: no snap. Shift+click or sweep: choose more.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/wave_lane.py"/>
        <source>Drag a notch to move that hit by hand; Shift+click chooses more, drag over the wave several. Click to put the playhead.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>Drag a step up or down: the groove changes in every bar. Shift draws over many, Ctrl its loudness.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Drag over the ruler first: that span gets a recipe of its own</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Drag over the ruler to mark a rough span</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/loops.py"/>
        <source>Drag over the ruler to mark a rough span first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Drag over the ruler to say what is looped</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/match_lane.py"/>
        <source>Drag the end of a line, or a lone hit, to another hit to pair them. Ctrl+B breaks the chosen pair.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/mark_drag.py"/>
        <source>Drag the end to a bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/strength_lane.py"/>
        <source>Drag the threshold line. Double-click keeps a hollow onset, drops a solid one. Drag over several: Delete drops them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/overview_strip.py"/>
        <source>Drag the window over the take to look elsewhere. The wheel scrolls, Ctrl+wheel zooms.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/context_lane.py"/>
        <source>Drag to another place among the tracks. The lower edge: taller, lower, folded.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_drag.py"/>
        <source>Drag to fade the clip in.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_drag.py"/>
        <source>Drag to fade the clip out.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/ruler.py"/>
        <source>Drag to loop a span. Drag a diamond to move that hit; double-click takes it back. Shift: no snap.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_drag.py"/>
        <source>Drag to move the clip, Ctrl+drag to copy it; out of the window it is a file. Shift: no snap.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_drag.py"/>
        <source>Drag to the right to repeat the clip.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_drag.py"/>
        <source>Drag to trim: the sound stays where it is.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/lens.py"/>
        <source>Drag: one pixel is one frame. , and . move by a frame, Alt+← and Alt+→ by 1 ms.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Draw again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/shape_lane.py"/>
        <source>Draw over hits: free, Shift a line, Ctrl a curve up and back, Alt without steps. Double-click types. Chosen hits move together.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/step_shape_lane.py"/>
        <source>Draw over steps: free, Shift a line, Ctrl up and back, Alt without steps. Double-click types.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Draw the scatter of {} again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/view_state.py"/>
        <source>Drift</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/drift_lane.py"/>
        <source>Drift of each hit in milliseconds</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Drop</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/welcome.py"/>
        <source>Drop a recording here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Drop onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>Drop the mark</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Drop the onset; in Rework, delete clips or hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/loops.py"/>
        <source>Drop the rest</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Drop the rest of the recording</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Drop {0} onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/drag_out.py"/>
        <source>Dropped</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/drag_out.py"/>
        <source>Dropped nowhere</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Duplicate</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Duplicate clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Duplicate range</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Duplicate the clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Duplicate {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Duplicate {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/evidence_lane.py"/>
        <source>EARLY</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Each file becomes a folder of slices that are it again, put end to end.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Each hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/proof_lane.py"/>
        <source>Each stem is a join: its roughness against the roughest place of the recording, in dB. A click goes there, the right button offers what mends it. N: the next one that clicks.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Each track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/check_rows.py"/>
        <source>Earlier</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions.py"/>
        <source>Edit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Edited</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/journal.py"/>
        <source>Edits cannot be kept safe in “{0}”: {1}. Save often.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Empty it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>End loop</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/track_buttons.py"/>
        <source>End solo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>End the take, and stop hearing the input: then its delay can be measured</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>Enter does it, Escape leaves</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pattern_drag.py"/>
        <source>Erase {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Erase {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Even loudness</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Every bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Every edit is kept aside at once in any case, and offered again after a crash.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Every hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>Every how many hits one, from the chosen one on?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>Every notch is a hit that was found. Drag the threshold: faint ones turn hollow and silent.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Every recording is there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Every tempo it may have, and what speaks for it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Everything is heard at this rate, and keeps its place. Undo takes it back.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Every…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/slice_files.py"/>
        <source>Example</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/view_state.py"/>
        <source>Export</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Export each track as a stem…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Export it again from where it was made.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>Export it again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Export it with {0} channels or fewer.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/mark_files.py"/>
        <source>Export marks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Export marks…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Export the sound…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Export…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>FLAC holds whole numbers: 24 bit is written.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Fade in</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Fade its ends</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/proving.py"/>
        <source>Fade longer</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Fade out</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Fade the clip in</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Fade the clip out</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Fades, start, length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Faster and faster</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Feel of the grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/shelf.py"/>
        <source>Fetching {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Fewer sound sooner, more are safer on a busy machine. For playing keys, choose JACK.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Files of the shelf</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Files, and what became of each</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Fill emptied places</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Fill gaps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/moving_rows.py"/>
        <source>Fill gaps otherwise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>Find anything</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Find anything…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Find by name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Find hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>Find hits, in Mark</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Find missing recordings…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Find the hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/patterns.py"/>
        <source>Find the recording first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/analyses.py"/>
        <source>Finding hits in {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>First</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/view_state.py"/>
        <source>Fit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Fit as measured</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Fit the song’s tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>Five stages</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Flip phase</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Flip the track’s phase</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Float</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Fold or unfold the other tracks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Fold tracks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>Folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Folder of the shelf</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Folder that holds the recordings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pair_rows.py"/>
        <source>Follows</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>For</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Forget</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Forget marks set by hand</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/messages.py"/>
        <source>Forget them</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Forget what nothing plays…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Forget {0} that nothing plays? {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Forgotten. Save the session, and their room is free</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Frames a second of the file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Frames at once</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Free</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>Free beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Free neighbours</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Free the hits beside this one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>From a chosen bar on, the beats are:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>From here {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>From left to right becomes from top to bottom: 1 to 5 go there.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/moving_rows.py"/>
        <source>Gaps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Gaps: crossfade 1 ms longer</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Gaps: crossfade 1 ms shorter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Gaps: next curve</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Gaps: next filling</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Glue</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Glue {} together</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Go to the next track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Go to the previous track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Grid as the ruler: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Grid bends to the performance</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Grid follows the zoom</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Grid {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Grid: as the ruler shows</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Grid: coarser</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Grid: finer</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Grid: next feel</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions.py"/>
        <source>Groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Groove (*{0});;MIDI (*.mid)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Groove is</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Groove over more bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Groove timing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Groove {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Groove “{0}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>Groove: ms of each step from its line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Groove: same ms, or share of a step</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Groove: the same ms at any tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Groove: the same share of a step</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Grooves and recordings (*{0} *.json *.mid *.midi {1})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>Grooves of the shelf</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Group clips</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Group the chosen clips</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Half</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Half time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Half time of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Half time, sounds twice as long</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Halve tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Halve the recording’s tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Halve the song’s tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Hand and ear</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/main_window.py"/>
        <source>Harbour ferry: a street-percussion trio, in a stairwell</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Hear</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Hear all bands of it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Hear all bands of the clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Hear both</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Hear both hits of a pair</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Hear in the song’s tempo, in time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>Hear it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Hear only the track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Hear the input</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Hear the loop go round</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Hear the selected hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Hear two beats around the hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Hearing {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions.py"/>
        <source>Help</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>High</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Highs of which clip?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>History</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Hit and all after it a line earlier</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Hit and all after it a line later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Hit to the earlier line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Hit to the later line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Hit to the {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Hit {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pair_rows.py"/>
        <source>Hits alone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/alike.py"/>
        <source>Hits that sound alike</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/timeline.py"/>
        <source>Hits, and how far off they are</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Hits: {0} {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Hold neighbours</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Hold the hits beside this one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/alike.py"/>
        <source>How alike</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>How far apart repeats are</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>How long slices sound</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>How many bars the recording is</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>How many more times?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>How many times the clip plays it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/mark_files.py"/>
        <source>Import marks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/marks.py"/>
        <source>Import marks of a shorter span.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Import marks…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>In place, clips of one track are bounced: several become a track of their own</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>In time with</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>In which rounds the steps sound</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/midi.py"/>
        <source>Inputs that play the keys:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/desktop.py"/>
        <source>Install from a folder with a plain name.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Instead</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Instead of attacks: lines, equal parts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Into hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Into how many equal parts?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Into…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>It follows the song</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>It is a layer itself: set it free first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>It is a pattern already</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>It is at {0}
The address is copied.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/leaving.py"/>
        <source>It is being saved: one moment</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>It is changed there only. A copy of it can be opened here, and saved elsewhere.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>It is locked with others, which follow its hits: unlock it, or bounce it beside</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>It is locked, or touches its neighbour</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>It is no layer</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>It is on keys already</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>It is shared, but the sharing place gave no address that can be opened.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>It is taken apart already: X cuts a hit in two, Ctrl+Shift+H brings it back whole</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/drag_out.py"/>
        <source>It is written now: drag it out once more, or paste it there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>It is written, then handed over…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/desk.py"/>
        <source>It plays a pattern: shape its steps, or the slices of its kit, instead</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>It was not made by Chronotome; do not open it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/store.py"/>
        <source>It would lie more than a day away: it stays as it was</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/others.py"/>
        <source>JACK</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>JACK has its own number, and its keys sound soonest and most evenly.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/in_time.py"/>
        <source>JACK is not the sound output</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>JACK outputs</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>JACK shares start, stop and position both ways; a MIDI clock starts and stops playback.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Join</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/proving.py"/>
        <source>Join at {0}, {1} dB against the roughest place: {2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Join clips</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/proof_lane.py"/>
        <source>Joins of what is heard</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/timeline.py"/>
        <source>Joins, and how rough they are</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/section_lane.py"/>
        <source>Jump there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Keep</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/moving.py"/>
        <source>Keep formants</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>Keep it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Keep it as it was on a muted track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Keep it in the desktop’s secret store</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Keep only the selection</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Keep onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Keep takes in</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Keep the groove in the library</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>Keep the mark</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Keep the onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Keep the recipe as a variant…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Keep the scatter of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Keep this round</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Keep variant</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Keep variant…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/moving_rows.py"/>
        <source>Keeps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Keeps: next material</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/recovery.py"/>
        <source>Kept since it was last saved: {0}.{1} Bring it back?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Kept to be there sooner</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Key</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Keys cut by ear while it plays</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Keys no longer cut</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Kind of file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/check_rows.py"/>
        <source>Kind of places to check</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions.py"/>
        <source>Kit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>Kit as recorded</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>Kit fits the song</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Kit · {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/bound_controls.py"/>
        <source>Kit, Learn a control: turn it, then touch a slider or choose a command.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Kits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/evidence_lane.py"/>
        <source>LATE</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/mark_files.py"/>
        <source>Labels (*.txt);;Table (*.csv);;WAV with cue markers (*.wav);;MIDI notes (*.mid)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Last</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/check_rows.py"/>
        <source>Later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Layer an octave down</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Layer an octave up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Layer of the pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Lean</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Lean of the scatter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Learn a control</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/learning.py"/>
        <source>Learning ended</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Least spacing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/check_rows.py"/>
        <source>Leave</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Leave alone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>Leave as played</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Leave emptied places silent</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/recovery.py"/>
        <source>Leave for later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>Leave it at {0:g}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Leave the hit as played</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>Leave the song at {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>Leave the song's tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>Leave where they are</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/slice_drag.py"/>
        <source>Length of hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Length of one round</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Length of the pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Length of {} otherwise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/lens.py"/>
        <source>Lens: 30 ms to either side of a mark</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Less</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Less than one bar: halve it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Letters are shortcuts again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Letters play the kit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Letters play {0} of “{1}”. , and . reach more; Escape leaves</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Level of the click</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Level of the file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/wave_lane.py"/>
        <source>Level of the track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Level to reach</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Listen as played or edited</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Listen to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/likenesses.py"/>
        <source>Listening to hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Lock</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Lock all</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Lock all tracks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Lock all tracks to this one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Lock below</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Lock onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Lock or free the onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Lock this track with others first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Lock tracks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Lock with the track below</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Locked tracks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Longer</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Look</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Look for files…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>Looking for beats…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/recordings.py"/>
        <source>Looking for recordings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Looking for sound devices</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/shelf.py"/>
        <source>Looking through {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Loop</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/recipe_lane.py"/>
        <source>Loop a span</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Loop as a recording of its own…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Loop from this recording</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Loop the pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Loop the section here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Loop the selection</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/sections.py"/>
        <source>Loop {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Louder…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/meter.py"/>
        <source>Loudest {0:.1f} dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Loudness</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>Loudness of a step</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Loudness of the clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Low</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Lower by {0} dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/headless.py"/>
        <source>Lower the threshold.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Lows here, highs of {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Lows of it, highs of another</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Lows of it, highs of…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Lows, highs…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>METRE</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>MIDI (*.mid)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/others.py"/>
        <source>MIDI clock</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/in_time.py"/>
        <source>MIDI clock {0:.2f} bpm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/midi.py"/>
        <source>MIDI inputs and clock</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>MIDI inputs and clock…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>MIDI notes (*.mid *.midi)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Main</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Make guide</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Make rolls into single hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>Make room, or choose another disk.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/writing.py"/>
        <source>Make room, or choose another disk; nothing is lost.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Make single hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Make single hits of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Make the track the guide</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Manual</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/view_state.py"/>
        <source>Mark</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Mark by ear</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Mark here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Mark here, or by ear while it plays</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions.py"/>
        <source>Marks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/mark_files.py"/>
        <source>Marks ({0})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/keys_and_marks.py"/>
        <source>Marks and mouse</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Marks as found</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Marks at lines instead of at attacks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Marks at these places instead of at attacks; undo, or As found, takes them back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Marks at {0} equal parts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/beside.py"/>
        <source>Marks by ear are set {0:.0f} ms before the key</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Marks on the grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/view_state.py"/>
        <source>Match</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Match a take</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/match_lane.py"/>
        <source>Match: pairs of two takes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Material</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>Measure</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>Measure again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Measure the input’s delay…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Measured</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Measure…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/analyses.py"/>
        <source>Measuring hits of {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>Measuring…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Media keys</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Mend the place to check</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Mend: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/messages.py"/>
        <source>Messages</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Metre</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Mid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Mirror early and late</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Mirror groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>More</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>More: rounds, variants, strokes, swing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>Move bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>Move beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Move by</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Move by: next way</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Move clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/noises.py"/>
        <source>Move edge of noise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/gestures.py"/>
        <source>Move hit by hand</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>Move it away, or save elsewhere.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Move mark 1 frame earlier</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Move mark 1 frame later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Move mark 1 ms earlier</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Move mark 1 ms later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Move mark 10 ms earlier</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Move mark 10 ms later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/lens.py"/>
        <source>Move onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/moving.py"/>
        <source>Move otherwise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Move step of groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/moving_rows.py"/>
        <source>Move the audio another way</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/moving_rows.py"/>
        <source>Move the audio by</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Move the track down</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Move the track up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Move track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pattern_drag.py"/>
        <source>Move {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/gestures.py"/>
        <source>Move {0} hits by hand</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Move {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Moved as its track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Moved as the track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Moved its own way</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Moving a hit holds its neighbours</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Mute</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Mute and solo count. The click is never written.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Mute clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Mute the clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Mute the track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Mute track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Name a section…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Name of the clip; empty: its track’s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/sections.py"/>
        <source>Name of the section</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Name of the track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Name of the variant</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Names</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/slice_files.py"/>
        <source>Names of the files</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Names of the slices</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>New</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>New empty pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/keeping.py"/>
        <source>New from a &amp;template</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>New pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>New pattern to play in</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>New session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>Next</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Next groove of the session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Next hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Next place to check</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Next section</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>Next to check  N</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Next variant</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Night</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/others.py"/>
        <source>No MIDI clock is heard: choose MIDI clock in Playback, then start the machine</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>No accent on one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>No clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/bound_controls.py"/>
        <source>No control is bound yet.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>No count-in</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>No groove yet: take one from a track (Shift+G), or choose one in the tray</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/analyses.py"/>
        <source>No hits found in {0}: it is silent, or very even.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/analyses.py"/>
        <source>No hits were looked for in {0}. Find hits, in Mark, does it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/midi.py"/>
        <source>No input is plugged in.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/proving.py"/>
        <source>No join clicks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/pads.py"/>
        <source>No kit is on the keys</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>No kit yet: Escape, then Ctrl+U puts hits on keys; or cut them by ear</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/midi.py"/>
        <source>No output for a clock is plugged in.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>No round was played in yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>No swing is heard in it: its pairs are even</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>No variant is kept yet: V keeps this recipe under a name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Nobody follows</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Noise back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Noise: 12 dB softer</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Noise: fade it out</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Noise: hear it again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Noise: room tone instead</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Noise: silence it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/noises.py"/>
        <source>Noise: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Noises</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>None of the chosen hits is a roll</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>None of the chosen hits is scattered</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Not found: {0}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Not played</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/midi.py"/>
        <source>Notes from C2 (36) on play the keys from Q on. With none ticked, all inputs play.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/notes.py"/>
        <source>Notes from {0} on play the keys.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/others.py"/>
        <source>Nothing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>Nothing came back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Nothing here has a recipe of its own</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>Nothing is called so: try another word</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>Nothing is kept of this clip: it was not bounced in place, or its track is gone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Nothing is known of its beats yet: say how many bars it is, tap it, or type its tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Nothing is known of its beats yet: tap them while it plays</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>Nothing is known of its beats: tap them while it plays (T), or say how many bars it is</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Nothing to accept here: N goes to the next place to check</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/check_rows.py"/>
        <source>Nothing to check</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Nothing to check here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Nothing to cut here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Nothing to cut there: it would be one hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/proof_lane.py"/>
        <source>Nothing to mend here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Nothing to mend here: N goes to the next place to check</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Nothing to paste: Ctrl+C keeps the chosen clips</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Nothing to paste: Ctrl+C keeps the chosen hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>Nothing was done yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Nothing was saved: {0} is gone, or was replaced by another file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/grooves.py"/>
        <source>Nothing was taken away.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Nothing was written yet.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Nudge hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Nudge hits 1 ms earlier</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Nudge hits 1 ms later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Nudge hits 10 ms earlier</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Nudge hits 10 ms later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Nudge mark</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Number of equal parts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Numbers</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Octave down</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Octave up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Of them</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>On by 8 bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>On by a bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>On {0}, strength {1:.0%}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Once less</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Once more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Once more: closer by as much again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>One more round</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>One round fewer</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>One stroke</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>Only grooves of your own can be taken out of the library</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Only neighbours that go on in one another as they were recorded can be glued</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Only parts of one take that still meet can be joined</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/onset_table.py"/>
        <source>Onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Onsets of the {0} band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/timeline.py"/>
        <source>Onsets, and how strong they are</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Open</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Open a copy</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>Open a copy of it from a backup.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Open a pattern…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>Open a recording: a groove is heard on what plays</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/main_window.py"/>
        <source>Open files</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Open files…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>Open it anew, or bring the old one back.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Open pattern {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Open session folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Open session folder…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Open the demo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>Open the file anew.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/recordings.py"/>
        <source>Open {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>Opening the input</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/document.py"/>
        <source>Opening {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Open…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Opus</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/meter.py"/>
        <source>Output level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/midi.py"/>
        <source>Outputs that receive the song’s clock, with start, stop and position:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Over 1 bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Over 2 bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Over 4 bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Over how many more bars?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Own recipe</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Own recording…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Pack into one file…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/keeping.py"/>
        <source>Pack the session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/document.py"/>
        <source>Packed as “{0}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/keeping.py"/>
        <source>Packed sessions (*{0})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/document.py"/>
        <source>Packing {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Pads for mouse and touch</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/pads.py"/>
        <source>Pads – Chronotome</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/pads.py"/>
        <source>Pads: the keys of the kit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Pair as found</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Pair hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Pair the chosen hits as found</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pair_rows.py"/>
        <source>Pair within</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Pan</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Pan to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Pan track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Paste clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Paste here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Paste {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Paste {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Pattern half as long</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Pattern twice as long</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Pattern · {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pattern_lane.py"/>
        <source>Pattern: steps of each slice</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/moving.py"/>
        <source>Pitch</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Pitch and pan of the roll</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Pitch changes the length as well</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Pitch changes the length of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Pitch keeps the length of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Pitch of the kit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Pitch of the kit otherwise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Pitch of the whole kit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Pitch up to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Pitch with length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Pitch: 10 cents down</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Pitch: 10 cents up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Pitch: a semitone down</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Pitch: a semitone up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Pitch: a voice keeps its colour</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Place</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Places, order, rhythm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Play another pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Play in a loop</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/playing_in.py"/>
        <source>Play in, round {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>Play it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Play notes of a file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Play notes of a file…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Play or stop</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Play the pattern once more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions.py"/>
        <source>Playback</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/others.py"/>
        <source>Playback follows nothing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Plays</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Point to the folder that holds them, then save again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Preferences</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Preferences…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Previous hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Previous section</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Proof</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Pull</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/loops.py"/>
        <source>Pull loop to attacks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Pull mark to its attack</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Pull the loop’s ends to attacks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Pull to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Pull to attack</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Pull to attacks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Pulled to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>Pulse</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>Put the hits on keys</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>Put {0} on keys</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Quit Chronotome</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Ramp</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Ramps of the roll</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Rate</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Rate of the session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/recordings.py"/>
        <source>Reading {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Recipe for: track, span, chosen hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Recipe of its own</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Recipe of its track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/recipe_lane.py"/>
        <source>Recipes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Recipes (*{0})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>Recipes of bars would tighten it once more: bounce it to a track of its own</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Record a take</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>Record {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions.py"/>
        <source>Recording</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Recording follows the song</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Recording has half the bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Recording has one bar fewer</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Recording has one bar more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Recording has twice the bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Recording is at the song’s tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Recordings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>Recordings follow the song</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/main_window.py"/>
        <source>Recordings of yours, or a session; or drop them here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Redo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/main_window.py"/>
        <source>Redo {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/bound_controls.py"/>
        <source>Remove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Remove groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Remove span’s recipe</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Remove the groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Remove the recipe of its own here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Remove the section</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Remove the track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Remove track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Remove variant</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Remove {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/recipe_lane.py"/>
        <source>Remove: the track’s recipe holds here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Rename clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/straighten.py"/>
        <source>Rename one of them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Rename the clip…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Rename the pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Rename the section…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Rename the track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Rename track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/section_lane.py"/>
        <source>Rename…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Repeat clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Repeat hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Repeat the clip…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Repeats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Repeats of the roll</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Repeat…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/recordings.py"/>
        <source>Resampling {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Reset all</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Reset all hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Reset hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Reset the chosen hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Return to the start</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Reverse</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Reverse clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>Reverse slices</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Reverse the clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Reverse the order of the hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Reverse the order of {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Reverse {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/view_state.py"/>
        <source>Rework</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Rhythm of…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Ring after the end</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Roll</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Roll the hits, or make them single</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Roll {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Roll · {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Roll: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Room tone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Rotate a step earlier</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Rotate a step later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Rotate groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Rounds</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Rounds of steps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Rounds of the pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/ruler.py"/>
        <source>Ruler: bars and beats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>SNAP</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/keeping.py"/>
        <source>Save a copy as a folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Save a copy…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Save as a recipe</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Save as a recipe…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/keeping.py"/>
        <source>Save as a template</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Save as a template…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Save by itself</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/patterns.py"/>
        <source>Save it again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Save session as a folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Save the pattern with its kit…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Save the session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Save the session as…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/leaving.py"/>
        <source>Save them first?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Saved in “{0}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Saved: chronotome batch “{0}” FILES does the same</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Save…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/document.py"/>
        <source>Saving {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Say how much is scattered first: Scatter in the tray</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/headless.py"/>
        <source>Say which tempo it has.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/batch.py"/>
        <source>Say {0}, {1}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/marks.py"/>
        <source>Say {0}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Scatter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Scatter hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Scatter {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>Scatter · {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Scatter: draw again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Scatter: keep what was drawn</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Scrub back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Scrub on</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/sections.py"/>
        <source>Section</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/section_lane.py"/>
        <source>Sections</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Select an onset to {0}: click its notch, or step with ← and →</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Select back to the previous hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Select hits, or drag over the ruler, to say what is looped</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Select up to the next hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions.py"/>
        <source>Session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Session at {0:g} kHz</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Session information</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Session information…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Sessions</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Set a step</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Set a step here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Set beat one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Set catch range</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Set click level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Set clip loudness</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Set grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Set groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/groove_rows.py"/>
        <source>Set groove loudness</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/groove_rows.py"/>
        <source>Set groove timing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Set least spacing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Set leave-alone window</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Set level</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Set metre</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pair_rows.py"/>
        <source>Set pairing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/moving_rows.py"/>
        <source>Set pitch</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Set recording's tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Set steadiness</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/midi_out.py"/>
        <source>Set steps first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Set strength</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Set stroke</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Set swing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Set tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Set the layer free</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Set threshold</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>Set warp marker</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/moving.py"/>
        <source>Set {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/value_lane.py"/>
        <source>Shape</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/shape_lane.py"/>
        <source>Shape of each hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/step_shape_lane.py"/>
        <source>Shape of each step</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Shape of the hits as recorded</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Shape of {} as recorded</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Shape: a ramp from the first to the last</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Shape: a tenth less</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Shape: a tenth more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Shape: this value as recorded</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Share</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Share the sound…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Shared: the address is copied</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Shelf</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Shift the lines</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/keys_and_marks.py"/>
        <source>Shortcuts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/recipe_lane.py"/>
        <source>Show its recipe</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/fold.py"/>
        <source>Show or hide: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Show the history</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Show the lane {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Show the messages</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Show the shelf</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Show the whole take</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Shuffle</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Shuffle the hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Shuffle {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Sift more: bands, strongest, near lines</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Silence</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/noises.py"/>
        <source>Silence it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Simulated</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Simulated ones are stand-ins: an output that keeps what it played, an input that plays a shaker.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>Single {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/calibration.py"/>
        <source>Sixteen clicks come, one every 0.6 seconds.
Press any key, or click here, together with each of them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Slice</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>Slice on key {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Slice {0}: {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/slice_files.py"/>
        <source>Slices as files</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Slices fit the song’s tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>Slices forwards</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/slice_files.py"/>
        <source>Slices of</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>Slide Strength to 100 %: each hit goes to its line, and you hear it while it plays.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/mark_drag.py"/>
        <source>Slip the sound</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Slipping changes what is edited: you listen to that now</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Slope</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Smooth</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Smooth groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Smoothed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Snap</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>So long what rings after the loop is written too</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>So that they come back where it is opened: as cues, chapters and tags</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Solo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Solo track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/track_buttons.py"/>
        <source>Solo: hear only this</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/bouncing.py"/>
        <source>Something of it was changed meanwhile: bounce it again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Song</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>Song takes it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Song takes tempo, metre and beat one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Song takes the recording's tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Song {0} bpm: halve, double, take</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Sound</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Sound ({0})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Sound and sessions ({0} session.json *{1})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Sound bears 0.05 less</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Sound bears 0.05 more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Sound input</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Sound of the click</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Sound output</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Sounds</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Sounds in</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>Space plays, and stops. It is a bucket kit, as it was played.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Span</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/recipe_lane.py"/>
        <source>Spans with a recipe of their own</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Split</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Stage {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>Stages  1 – 5</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Start</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/others.py"/>
        <source>Start, stop and place are shared with all programs on JACK</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Starts later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Steady</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Stems…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>Step on its line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Steps a key down</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Steps a key up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>Steps of the history</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/timeline.py"/>
        <source>Steps of the pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Steps saved</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Steps saved with a session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Steps: {0} {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Straight grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Straighten</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>Straighten it to the song</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Straighten the take</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Straightened {0}: it was {1} ms off a steady tempo. The tray sets how much</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/rhythm.py"/>
        <source>Strength</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/strength_lane.py"/>
        <source>Strength of each onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/wave_lane.py"/>
        <source>Stretch</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>Stretching</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Swap</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Swap two hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Swing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Swing as played</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Swing as played: {0:.0f} % of {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Swing of</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Swing of {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Swing of: grid, eighths, sixteenths</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>TEMPO</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>TIME</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Tags</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Take a groove from this track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Take a groove of 4 bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Take apart</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Take apart at every bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Take apart at marks set by hand</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Take apart at onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Take apart into equal parts…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Take apart on lines of {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Take apart {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Take groove from {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Take groove of {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>Take in</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Take one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Take out</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Take recording’s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Take the clip apart</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Take the clip apart as chosen, or what was swept over of it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Take the clip apart first</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>Take the clip apart first to choose its hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>Take the clip apart first to {0} its hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>Take the clip apart first: its hits are put on the rhythm of another</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/shape_lane.py"/>
        <source>Take the clip apart to shape its hits: Ctrl+H</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Take the fit as measured</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Take the last round back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/rhythm.py"/>
        <source>Take the rhythm of</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/rhythm.py"/>
        <source>Take the rhythm of {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>Take the rhythm of…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Takes are kept in</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>Takes can be off by as much: choose JACK in Preferences for exact takes.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>Takes from “{0}” are put {1:.1f} ms earlier from now on</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Taking the groove of {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Tap</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/calibration.py"/>
        <source>Tap calibration</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Tap calibration…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Tap tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Tap the beats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Tap {0} more for a tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>Tape</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Tempi it may have</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>Tempo and sections in the file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>Tempo beat by beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Tempo in beats per minute</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/others.py"/>
        <source>Tempo of the clock: {0:.2f}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Tempo of the recording in beats per minute</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Tempo of the song: type it, or tap it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Tempo of this recording</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Tempo of {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Tempo {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/keeping.py"/>
        <source>Tempo, metre, grooves, sections and tracks with
their recipes are kept, no sound. Its name:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>The clip is whole</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>The clip plays no pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>The clip plays no pattern: Ctrl+P makes one of it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/main_window.py"/>
        <source>The demo, and what is done with it, in nine steps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/applying.py"/>
        <source>The desktop’s media keys cannot be used: no session bus answers</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>The folder of a pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>The grid bends</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>The history of this session could not be read; the session itself is whole.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>The hits beside one that is moved {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>The input is heard no more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>The input is heard. With a microphone, use headphones: loudspeakers would howl</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/journal.py"/>
        <source>The journal “{0}” is damaged.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/journal.py"/>
        <source>The journal “{0}” {1}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/journal.py"/>
        <source>The kept edits in “{0}” cannot be read ({1}).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>The key holds signs that no key has. Copy it anew, without spaces.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>The key of the slice</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>The key was given for another place. Enter the key for this one.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/journal.py"/>
        <source>The last edit could not be kept safe: save the session.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>The last round is taken back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>The loop</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/loops.py"/>
        <source>The loop as its own recording</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>The loop begins with its own ring</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/loops.py"/>
        <source>The loop is {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>The mix is {0} dB over full scale: that is cut off in this kind of file.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>The names cannot be made: {0}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>The others</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>The pattern as MIDI</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>The pattern that the clip plays</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/proving.py"/>
        <source>The proof is not ready yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>The proof listens to every join as you work. F3 finds anything else, F1 opens the manual.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/likenesses.py"/>
        <source>The recording is being read: ask again in a moment</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>The same for many files</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>The same for many files…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/batching.py"/>
        <source>The same for {0} files</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>The session that is open takes it too.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>The sharing place could not be reached ({0}).</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>The sharing place does not know this key. Check it in the dialog.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>The sharing place gave no known answer. Check its address.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>The sharing place refused it ({0}): {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>The sharing place takes nothing more. Try again later.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>The sound is still in memory: Chronotome can write it anew, and save.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>The sound was started anew: {0} ends here.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>The sounds could not be told from the rest</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>The straight grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>The tempo map</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>The tempo map is written to “{0}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>The tempo, beat by beat. Drag a beat to where it is, or tap with T while it plays.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>The track plays no pattern: Ctrl+P makes one of a clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>The track’s recipe</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>The usual settings: open a recording, and those of its track are taken.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Theme</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/leaving.py"/>
        <source>There are edits that are not saved.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>There are no hits to take a groove from</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>There are no hits to write a pattern with</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>There are no hits to write: find them, or put some on keys</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>There is no clip to make one of</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>There is no clip to put on keys</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>There is no clip to take apart</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/groove_rows.py"/>
        <source>There is no groove to blend yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>There is no groove to keep yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>There is no groove to write yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>There is no groove yet: take one from a track, or choose one in the tray</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>There is no kit to play: Ctrl+U puts the hits of a clip on keys</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>There is no kit yet: Ctrl+U makes one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>There is no kit yet: Ctrl+U puts the hits of a clip on keys</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>There is no kit: Ctrl+U puts the hits of a clip on keys</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>There is no other clip to take a rhythm of</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>There is no other clip to take the highs of</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>There is no other track to follow</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>There is no other track to lock with</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>There is no recording here to take a groove from</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>There is no recording yet: drop one into the window</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/sections.py"/>
        <source>There is no section at the playhead</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/sections.py"/>
        <source>There is no section there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/application.py"/>
        <source>There is no track “{0}”.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>There is nothing to bounce: choose clips, or sweep over the waves in Rework</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/drag_out.py"/>
        <source>There is nothing to copy: choose a clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>There is nothing yet.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/midi.py"/>
        <source>There is {0}. Keys, pads and files of notes play all the same.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>There must be {0}: Ctrl+Shift+N adds one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/rhythm.py"/>
        <source>These hits sound where the hits of another clip do:</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>They follow the song</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>They meet at (Hz):</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>They stay silent until they are found. Point to the folder that holds them?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Thin onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>This address would be reached without encryption. Say https://….</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/guarded.py"/>
        <source>This could not be drawn. Undo, or open the session anew; nothing is lost.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>This is no address of a sharing place. Say https://….</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/mark_drag.py"/>
        <source>This is {0:.0f} {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>This is {0:g} {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/match_lane.py"/>
        <source>This track follows no other take: choose one in the tray</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>Three rounds agree to ±{0:.2f} ms.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Threshold</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Tick</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/view_state.py"/>
        <source>Tighten</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>Tighten to the grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>Time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions.py"/>
        <source>Timing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Title</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>To</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>To be heard as {0} below, without going there ({1})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/check_rows.py"/>
        <source>To check</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/check_rows.py"/>
        <source>To check: {0}{1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/proving.py"/>
        <source>To the nearest crossing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>To {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/calibration.py"/>
        <source>Too few keys came close to a click. Close this, and try again.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Tour</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tour.py"/>
        <source>Tour ended</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Tour through the take</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tour.py"/>
        <source>Tour: spot {0} of {1}. Space ends it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Track height</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Track louder by 1 dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Track softer by 1 dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Track {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Track · {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>Tracks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>Tracks that are locked move by the amounts of their guide.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Track’s lane lower</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Track’s lane taller</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_drag.py"/>
        <source>Trim the clip's end</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_drag.py"/>
        <source>Trim the clip's start</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Try again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Turn</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/learning.py"/>
        <source>Turn a control of the MIDI device first, then touch “{0}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/learning.py"/>
        <source>Turn a control of the MIDI device, then touch a slider or choose a command</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Turn round</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>Two steps can be heard against one another, where the playhead is.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Undo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/main_window.py"/>
        <source>Undo {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>Undone: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Unfold tracks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>Ungroup clips</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Ungroup the clips</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Unlock</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>Unlock onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Unlock the track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>Unlock track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/track_buttons.py"/>
        <source>Unmute track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/keeping.py"/>
        <source>Unpack a session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Unpack a session…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/document.py"/>
        <source>Unpacking {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Until a session that is saved has them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>Update Chronotome; the session was left untouched.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Use clock’s tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Use measured tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Usual recipe</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/step_shape_lane.py"/>
        <source>Value of the step</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Variant</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Variant {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>Variant “{0}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>Vary</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Vary the pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/actions.py"/>
        <source>View</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/loops.py"/>
        <source>WAV (*.wav)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>WAV, AIFF, FLAC, OGG Vorbis, Opus and MP3 can be opened.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/welcome.py"/>
        <source>WAV, AIFF, FLAC, OGG, Opus or MP3. It is never altered, and nothing moves by itself.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/main_window.py"/>
        <source>Walk through</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Walk through the window</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Warp marker here, neighbours held</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/wave_lane.py"/>
        <source>Wave of the focused track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>What</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>What becomes of a hit that is made longer</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>What dragged hits are pulled to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>What hits are drawn to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>What is done</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>What is drawn and snapped to: follows the zoom, or fixed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>What is heard</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>What is less than a step of 16 bits is kept, as noise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>What is looked for</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>What is played is no longer written down</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>What is played is written down, round after round. Backspace takes the last round back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>What is scattered</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>What marks and mouse mean</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>What moved</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>What pitch does to length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>What rings after the loop’s end is added to its start</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/rework_actions.py"/>
        <source>What rings before emptied places fills them</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>What the recipe is for</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>What the scatter does</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>What the shelf shows</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>What was found</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>What was found in recordings is found anew when they are opened again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>What “{0}” hears comes {1}. Takes are put right by that.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>Where</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Where it is cut</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Where the clip is cut into hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>Where the session has JACK’s sample rate. The rest is heard from the main outputs.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>Which bar starts at this hit? Later bars count on from it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/rhythm.py"/>
        <source>Which hit goes where</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Who</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Who follows whom</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>Who may hear it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>Whole again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/overview_strip.py"/>
        <source>Whole take</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/rhythm.py"/>
        <source>Whose rhythm it is</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>Wood</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>Write anew and save</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Write down what is played</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>Write into</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Write slices as files…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Write the clip as a pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Write the fit beside the file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>Write the groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/tighten_actions.py"/>
        <source>Write the groove to a file…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Write the kit as SFZ…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>Write the pattern as MIDI…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Write the tempo map…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>Write {0} as a pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/document.py"/>
        <source>Writing recordings anew</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/drag_out.py"/>
        <source>Writing what is dragged</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>Writing {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/fits.py"/>
        <source>Wrote {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/mark_files.py"/>
        <source>Wrote {0} to “{1}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/main_window.py"/>
        <source>Wrote “{0}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/calibration.py"/>
        <source>Your hand comes {0:.0f} ms {1} the click.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Zoom in</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/action_table.py"/>
        <source>Zoom out</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>a file of this name is there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>a hit is missing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/rough.py"/>
        <source>a join after {0} clicks:
{1:.0f} dB above the roughest place</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>a pattern keeps
the song’s time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>a recipe of its own</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>a second hit at {0},
where the other bars have one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/mark_checks.py"/>
        <source>a slow start: listen, and move the mark</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>a strong hit at {0}
that {1} does not have</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>a track to lay it on</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/calibration.py"/>
        <source>after</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>all</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/check_rows.py"/>
        <source>all kinds</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>all of them</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>all that are plugged in</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pair_rows.py"/>
        <source>along</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/slice_files.py"/>
        <source>and {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>another hit is nearer</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>anywhere</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/told.py"/>
        <source>apart</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>are worked out anew</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>as each file is</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>as heard</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>as heard: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/finish.py"/>
        <source>as it is</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>as it is heard</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>as its track is</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pair_rows.py"/>
        <source>as played</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>as played: {0:.0f} %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/shape_scale.py"/>
        <source>as recorded</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>as saved</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>as the ruler</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>as the session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/recipe_lane.py"/>
        <source>as {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>at every bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>at marks set by hand</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>at most {0:g} dB softer than the loudest</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>at onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>at this place of every bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>at {0}; nearly every bar has it at {1},
{2:.0f} ms {3} of that</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>attack</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/mark_checks.py"/>
        <source>attack not sure</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/view_state.py"/>
        <source>band</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/fit_checks.py"/>
        <source>bar {0} jumps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>bars and beats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>bars of {0}/{1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>bars, heard as {0}/{1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>beat one not set</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>beats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/calibration.py"/>
        <source>before</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/model.py"/>
        <source>bell</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/targets.py"/>
        <source>between</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>between two lines</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>bowed or sung</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>bpm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>bpm, as you said</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>bpm, drifting</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>bpm, from its hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>bpm, steady</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/shape_scale.py"/>
        <source>bright</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/targets.py"/>
        <source>by hand</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>by its name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>by its tags</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/rhythm.py"/>
        <source>by order</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>by tape</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>cannot be read ({0})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>catch range</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/learning.py"/>
        <source>channel {0}, {1} {2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/moving_rows.py"/>
        <source>chords and mixes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>chosen</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>click</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>clicks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>clips</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/learning.py"/>
        <source>control</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>copy</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/told.py"/>
        <source>counts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>crossing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>cut</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/rework.py"/>
        <source>cut out</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>cut there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>cutting</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/shape_scale.py"/>
        <source>dark</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/rework.py"/>
        <source>delete</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/grid.py"/>
        <source>dotted</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>drift ±{0} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>drift ±{0} ms
{1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>drifts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>drop it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>dropout</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>dropouts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>drums</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/moving_rows.py"/>
        <source>drums: noise and tails</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>duplicate</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>each its own</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>earlier</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>early</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/recovery.py"/>
        <source>edit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/recovery.py"/>
        <source>edits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>eighths</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>equal parts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>even</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>evenly</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>every bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>every beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>every one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>every round</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>every {0} hits one</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>fade in</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>fade out</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>failed: {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>far from the grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/recovery.py"/>
        <source>file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>file name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/recovery.py"/>
        <source>files</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>file’s length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>file’s tags</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>find others like</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>finds, and moves nothing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>finished as said here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>firm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>first {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>flam with another track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>flam with {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>float</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>follows zoom</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>for {0} hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>for {} to {}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>forget the shape of</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/lens.py"/>
        <source>frame {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/hatching.py"/>
        <source>gap {0:.0f} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>gaps at {0} samples</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/targets.py"/>
        <source>grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>groove timing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>grooves</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>group {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/grooves.py"/>
        <source>has a grid that is none (“{0}”)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/marks.py"/>
        <source>has an ending that marks are not read from</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/marks.py"/>
        <source>has an ending that marks are not written to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>has changed since it was first opened</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>has changed since it was opened</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/headless.py"/>
        <source>has no beats: too few hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/headless.py"/>
        <source>has no hits to take a groove from</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/loop_file.py"/>
        <source>has nothing in this span</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>has {0} channels</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>has {0} frames a second</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>hear</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>hear it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>heard</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>held at {0:g} kHz</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/bands.py"/>
        <source>high</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>hits of {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>hits, clips, tracks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>holds more than a session may be (“{0}”)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/marks.py"/>
        <source>holds more than {0:,} marks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/grooves.py"/>
        <source>holds no groove</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/marks.py"/>
        <source>holds no marks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/grooves.py"/>
        <source>holds no notes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/notes.py"/>
        <source>holds no notes that can be read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/patterns.py"/>
        <source>holds no pattern ({0})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>holds no sound</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/grooves.py"/>
        <source>holds too many notes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>holds values that are no numbers</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>holds values that are no numbers (the first at {0:.3f} s)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>holds values that are no sound (up to {0:.0e} times full scale)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/notes.py"/>
        <source>holds {0} notes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>holds “{0}”, which its session does not name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>holds “{0}”, which no session has</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>in a way of its own</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_lock.py"/>
        <source>in another window</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_lock.py"/>
        <source>in another window (process {0}{1})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/in_time.py"/>
        <source>in time with JACK</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>input · {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>into 8 equal parts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>into no folder yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>into {0} parts</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>into “{0}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>is a folder, not a sound file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/writing.py"/>
        <source>is a recording itself, and these are never altered</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>is at {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>is cut off: {0} of the {1} bytes of sound are missing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>is cut off: {0} of {1} frames are there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/door.py"/>
        <source>is damaged ({0})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/marks.py"/>
        <source>is damaged, or holds no marks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>is empty</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>is empty, or larger than 4 GB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/door.py"/>
        <source>is larger than {0} MB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/shelf.py"/>
        <source>is no folder that can be read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/grooves.py"/>
        <source>is no groove of the library</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>is no packed session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/application.py"/>
        <source>is no session and no sound file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>is not a Chronotome session</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>is not a Chronotome session, or is damaged</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/door.py"/>
        <source>is not a file</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>is not a sound file that can be read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>is not as long, or not of the kind, that the session says</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>is not there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/headless.py"/>
        <source>is silent: there is nothing to find</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/mark_checks.py"/>
        <source>is there nothing before it?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/midi_out.py"/>
        <source>is to be written of a clip that plays no pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>it answered {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/proving.py"/>
        <source>it clicks: the right button mends it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/journal.py"/>
        <source>it failed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>it holds {0} MB, and there is no room for that</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>it is a link, or no folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/naming.py"/>
        <source>it is empty</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/naming.py"/>
        <source>it is longer than {0} letters</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/document.py"/>
        <source>it is open {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/batch.py"/>
        <source>it is there already</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>its line is past the end of the take:
it stays inside, {0:.0f} ms before</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/desktop.py"/>
        <source>its name holds a line break or another sign that no menu entry can hold</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/figures.py"/>
        <source>its own</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/mark_drag.py"/>
        <source>its target follows</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>its track’s recipe</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>join</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>join above the proof</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>joins</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/proof_lane.py"/>
        <source>joins, dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>kHz</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>keep it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>keep only it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>keep the scatter of</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/targets.py"/>
        <source>kept inside</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>kept inside the take</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/view_state.py"/>
        <source>key</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/told.py"/>
        <source>key {0}, </source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>kit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>kits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/told.py"/>
        <source>lands {0}, {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>late</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/mark_checks.py"/>
        <source>late first hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>later</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/drift_lane.py"/>
        <source>leans</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>leave it as played</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>leave-alone window</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>led by {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/targets.py"/>
        <source>left alone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/told.py"/>
        <source>left out</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>length</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>length kept</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/kit_actions.py"/>
        <source>less</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>live · nothing is committed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/onset_table.py"/>
        <source>lock</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>lock it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/onset_table.py"/>
        <source>locked</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/context_lane.py"/>
        <source>locked to {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>locked track lacks it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/wave_lane.py"/>
        <source>locked with</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>looking…</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>loop it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>loud</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/finish.py"/>
        <source>loudness</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>loudness {0} LUFS</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/bands.py"/>
        <source>low</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/pads.py"/>
        <source>lower is louder    , and . reach more keys</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/mark_files.py"/>
        <source>mark</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/mark_drag.py"/>
        <source>mark {0} ms · {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/mark_files.py"/>
        <source>marks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>may not be read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/bands.py"/>
        <source>mid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/figures.py"/>
        <source>middle</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>mixed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/slice_files.py"/>
        <source>more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>move</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>moved by {0:.0f} ms,
nearly all others by less than {1:.0f}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>moved far</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/moving.py"/>
        <source>ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_frames.py"/>
        <source>muted</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>names a file outside its folder</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/batch.py"/>
        <source>names a kind of file that there is not (“{0}”)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/patterns.py"/>
        <source>names frames that {0} does not have</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>near the grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>nearly every bar has a hit at {0};
here is a faint one, strength {1:.0f}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>needs {0:.1f} GB of memory, {1:.1f} GB are free</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/patterns.py"/>
        <source>needs {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/in_time.py"/>
        <source>no MIDI clock</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>no beats yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>no clicks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>no folder yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>no group</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>no reason was given</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>no recording</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>no tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>noise</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>none</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>none kept</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>none of them</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>none taken away</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>not done</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>not done: cancelled</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>not looked for</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>not saved yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>not the usual line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>note</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>notes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>nothing</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/proving.py"/>
        <source>nothing is heard of it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>nothing known yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>nothing yet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/drift_lane.py"/>
        <source>now</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>nudge it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>of this clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>of {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>off</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/told.py"/>
        <source>on its line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>on lines</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>on lines of 1/16</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>on lines of 1/2</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>on lines of 1/32</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>on lines of 1/4</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>on lines of 1/8</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/mark_checks.py"/>
        <source>one counts: less spacing makes them two</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>one note</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/moving_rows.py"/>
        <source>one note at a time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>one way</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>onset</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>onsets</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>other tempi</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/drift_lane.py"/>
        <source>over {0:.0f}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/match_lane.py"/>
        <source>pair</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/match_lane.py"/>
        <source>pairs</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>pan</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>pattern</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>pattern of {0}
{1} · {2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>patterns</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/finish.py"/>
        <source>peak</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>peak {0} dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/view_state.py"/>
        <source>pitch</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>play and pause Chronotome</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>plucked, struck</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>private</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>proposed</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>public</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>pull it to its attack</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/grid.py"/>
        <source>quintuplet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>recording</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>recordings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>rendered</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>rendering</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>repeat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>repeats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>ring on</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>room tone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>sample</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>samples</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>says it holds {0} frames</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/door.py"/>
        <source>says more of itself than there is to say</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>scatter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>section</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>separated by commas</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/grid.py"/>
        <source>septuplet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>set</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>set by hand</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>setting</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>shape</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/sharing.py"/>
        <source>share place</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>shift of the lines</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>shipped</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pair_rows.py"/>
        <source>silent</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>single hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>sixteenths</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>slice</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>slices</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>smooth</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pattern_lane.py"/>
        <source>solid: always    broken: by chance, filled to its odds    combed: repeats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/status_line.py"/>
        <source>sound is starting</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/mark_drag.py"/>
        <source>sound stays</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/mark_drag.py"/>
        <source>sound {0} ms · mark stays</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/noises.py"/>
        <source>sounds like no other hit,
off the lines near {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>span</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/moving.py"/>
        <source>st</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>start</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>stay where they are</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pulse_lane.py"/>
        <source>steady</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>stem</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>stems</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>step</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>step {0}: {1} ms, {2} dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>steps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>straight</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>straighten {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/told.py"/>
        <source>strength {0:.0f}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>stretch</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>stretched</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>stretched past {0:.3g}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/onset_table.py"/>
        <source>strong</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>strongest in 1 s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>strongest in 2 s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>strongest in ¼ s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>strongest in ½ s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>strongest per bar</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>strongest per beat</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>sure to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>swap</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>swept over</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>tail again</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>tail to and fro</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>take</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>tap or say bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>tape</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>the chosen {0} of the clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>the disk is full</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>the end of the take is its start:
the first hit has that line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>the folder holds other things</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/writing.py"/>
        <source>the folder is not there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/writing.py"/>
        <source>the folder may not be written to</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>the grid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>the grid’s pairs</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>the groove {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>the kit {0}: {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>the process that writes it is gone</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>the same ms at any tempo</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>the same share of a step</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>the song has none</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>the song’s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>the sound up to the next hit is made ×{0:.2f} as long</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>the {0} of the clip</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>the {0} ones</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>there and back</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/naming.py"/>
        <source>there is no {{{0}}}: say {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>those that were not</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/model.py"/>
        <source>tick</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>tighten {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/onset_table.py"/>
        <source>time</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/moving.py"/>
        <source>times</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>to check</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>to the earlier line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>to the end</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>to the later line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/rhythm.py"/>
        <source>to the nearest</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/groove_rows.py"/>
        <source>to {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="dsp/stretch/engines.py"/>
        <source>tones</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/takes.py"/>
        <source>too many takes in one second</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>track</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>tracks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/grid.py"/>
        <source>triplet</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>turn round</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/mark_checks.py"/>
        <source>two close together</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/check.py"/>
        <source>two on one line</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/typed.py"/>
        <source>type a number</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/typed.py"/>
        <source>type it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/figures.py"/>
        <source>under 1 %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>unroll</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/session_file.py"/>
        <source>was written by a newer Chronotome (format {0}, this one knows {1})</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>was ±{0}
{1} over {2:.0f} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>what repeats in it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>while held</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>while the grid is left to it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>width: loudness · whisker: how sure · drag a step, every bar follows</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/targets.py"/>
        <source>with its stroke</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/match_lane.py"/>
        <source>with {0}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/model.py"/>
        <source>wood</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/pack.py"/>
        <source>would become {0} MB, which no recording packs so small</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/straighten.py"/>
        <source>would get two files of the same name</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/midi_out.py"/>
        <source>would hold no note</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>your own</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/clip_frames.py"/>
        <source>{0:+.1f} dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>{0:.0%} of the way, drawn in {1} times</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>{0:.0f} %</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>{0:.0f} % down</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>{0:.0f} % up</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/meter.py"/>
        <source>{0:.0f} dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>{0:.0f} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>{0:.0f} ms {1} of</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>{0:.0f} ms {1} than {2} at {3},
usually {4:+.0f} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/fit_checks.py"/>
        <source>{0:.2f} bpm between bars of {1:.2f}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/loopback.py"/>
        <source>{0:.2f} ms {1} than the device says</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>{0:g} bars would be no tempo between 20 and 400 bpm, or are set already</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>{0:g} kHz</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/shelf.py"/>
        <source>{0}
A pattern of {1}, {2} bpm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>{0}   Enter</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>{0}   Esc</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/walk.py"/>
        <source>{0}   {1} of {2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/recovery.py"/>
        <source>{0} It was set aside as “{1}” in “{2}”.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/figures.py"/>
        <source>{0} MB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/sharing.py"/>
        <source>{0} Try again: it goes on where it was.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/match_lane.py"/>
        <source>{0} alone · {1} unsure</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>{0} are chosen and moved together now</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="render/mix.py"/>
        <source>{0} are more than can sound: take the last step back.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>{0} as “{1}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/finding.py"/>
        <source>{0} at {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>{0} bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>{0} beats</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>{0} become free in the session’s folder as it is saved. Files outside of it stay. The steps of the history go too: they need what is forgotten.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>{0} bounced</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>{0} bpm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>{0} bpm ± {1} from {2} taps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>{0} bpm, {1}/{2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>{0} by hand</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>{0} can be opened: cut it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/notes.py"/>
        <source>{0} can be played at once: cut it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/choosing.py"/>
        <source>{0} chosen: {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/proof_lane.py"/>
        <source>{0} clicks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/drag_out.py"/>
        <source>{0} copied: paste it into a file manager</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/keeping.py"/>
        <source>{0} copy</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/recordings.py"/>
        <source>{0} could not be read again: it goes on with what was read before.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/figures.py"/>
        <source>{0} dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/shape_scale.py"/>
        <source>{0} dB {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>{0} done, {1} failed, of {2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>{0} ended: {1}. Nothing of it could be kept.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>{0} ended: {2}. {1:.1f} s of it are kept.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/tasks.py"/>
        <source>{0} failed ({1}). Nothing was changed.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>{0} faint hidden</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/mark_files.py"/>
        <source>{0} from “{1}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>{0} has strength 0 %: nothing moves yet. Raise it in Tighten</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>{0} has {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>{0} has {1} now</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>{0} here</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/batch.py"/>
        <source>{0} hits at {1:.2f} bpm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>{0} hits chosen: {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>{0} is at {1:g} kHz, the session at {2:g}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/wave_lane.py"/>
        <source>{0} is being read</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/learning.py"/>
        <source>{0} is bound to “{1}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>{0} is kept: another session is open. The next start asks</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/general.py"/>
        <source>{0} is moved {1} now</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>{0} is not in this session, and was not found</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/proof_lane.py"/>
        <source>{0} joins</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/clips.py"/>
        <source>{0} kept: Ctrl+V lays it at the playhead</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>{0} kept: Ctrl+V lays them at the playhead</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>{0} kept: Ctrl+V sets them at the playhead</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>{0} kit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/other_checks.py"/>
        <source>{0} lacks it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/match_lane.py"/>
        <source>{0} leads</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/figures.py"/>
        <source>{0} left</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/fits.py"/>
        <source>{0} lies in a session of which this is a copy: save it first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>{0} line{1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/mark_files.py"/>
        <source>{0} marks.txt</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>{0} min</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>{0} more on keys: {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>{0} moves by itself</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/figures.py"/>
        <source>{0} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>{0} ms on off-{1}ths</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/told.py"/>
        <source>{0} ms {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/tighten.py"/>
        <source>{0} not heard</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>{0} of hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/bouncing.py"/>
        <source>{0} of it are not found: nothing could be heard</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/recovery.py"/>
        <source>{0} of it are on disk. Bring it in, where it was played?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>{0} of steps</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/shape_lane.py"/>
        <source>{0} of the hit</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>{0} of the playhead: double-click to type where it goes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pattern_rows.py"/>
        <source>{0} of the slice</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>{0} of {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>{0} of {1} chosen</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/batch.py"/>
        <source>{0} of {1} done</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>{0} of {{}}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>{0} of “{1}” from here on</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/kits.py"/>
        <source>{0} on keys, Q to {1}. Ctrl+P writes a pattern with them</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>{0} over full scale: lower a level, or write float</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/playing.py"/>
        <source>{0} plays from here on; it ends where the next cut is</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pattern_drag.py"/>
        <source>{0} quarter notes</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/figures.py"/>
        <source>{0} right</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>{0} s</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/loops.py"/>
        <source>{0} s · {1} at {2} bpm</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/marks.py"/>
        <source>{0} selected: Delete drops them</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>{0} slices</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/alike.py"/>
        <source>{0} sound like what is chosen: they are marked in the wave.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/figures.py"/>
        <source>{0} st</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/keys_and_marks.py"/>
        <source>{0} stands for two actions: change one of them.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>{0} stems</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>{0} sure</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>{0} tempo.mid</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/hits.py"/>
        <source>{0} than {1:.0f} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>{0} to check</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>{0} to check: N goes there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/audio_file.py"/>
        <source>{0} to {1} can be opened: export it with another rate.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/histogram.py"/>
        <source>{0} values from {1} to {2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/fits.py"/>
        <source>{0} was not found: Session, Find missing recordings</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/recordings.py"/>
        <source>{0} was not read to its end: it is silent until it is opened anew.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>{0} written to “{1}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="words.py"/>
        <source>{0} {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/checks.py"/>
        <source>{0} {1}
or {2} {3}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>{0} {1}, the song at {2}: off its lines.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>{0} · clip {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/rework.py"/>
        <source>{0} · led by {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>{0} · peak {1} dB</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/slice_drag.py"/>
        <source>{0} · replaces {1}. Alt: both sound</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/pattern_drag.py"/>
        <source>{0} · the sound is over after {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>{0} · zoom</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/mark.py"/>
        <source>{0} · {1} left out · {2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/information.py"/>
        <source>{0}, about {1} bars</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/share.py"/>
        <source>{0}, as the tray of Export has it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>{0}, evenly: they are not on the grid any more</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>{0}, every {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>{0}, from the session’s {1:g} kHz</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>{0}, kept on disk until the session is saved</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/batch.py"/>
        <source>{0}, moved by {1:.1f} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/hit_rows.py"/>
        <source>{0}, none chosen</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/told.py"/>
        <source>{0}, strength {1:.0f}, {2}{3}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/slices.py"/>
        <source>{0}, which sound as before. A plays it as it was played</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>{0}, which sound as the clip did; its track is muted</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/told.py"/>
        <source>{0}, {1} dB{2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/groove_lane.py"/>
        <source>{0}, ±{1} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/value_slider.py"/>
        <source>{0}. Drag, or arrow keys. Double-click the figure, or Enter: type it. Double-click the track: {1}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>{0}: N goes there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>{0}: after “{1}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/roll_rows.py"/>
        <source>{0}: as many as the hit has room for</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/folded_bar.py"/>
        <source>{0}: no hits</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/tasks.py"/>
        <source>{0}: not enough memory. Close other programs first.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="errors.py"/>
        <source>{0}: not found. Point to the file, or to a folder that holds it.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/learning.py"/>
        <source>{0}: now touch a slider, or choose a command</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>{0}: the recording's beats, beat one at the first tap</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/fit.py"/>
        <source>{0}: the song's tempo. Tap while it plays to set the recording's beats too</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>{0}: tightened at {1}, the song is at {2}. Let them follow it?</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/fit.py"/>
        <source>{0}: type it if you know it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>{0}: {1} bpm{2}{3}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>{0}: {1} of {2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/shaping.py"/>
        <source>{0}: {1} of {{}}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/controls/folded_bar.py"/>
        <source>{0}: {1}, {2} ms {3}, half of them within ±{4:.1f} ms. Click chooses them</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/handing.py"/>
        <source>{0};;JSON (*.json)</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/main_window.py"/>
        <source>{0}{1} – Chronotome</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/history.py"/>
        <source>{0}{1}. A click goes there</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/decision.py"/>
        <source>{0}{1}. Song: {2}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="session/mark_checks.py"/>
        <source>± {0:.0f} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/lens.py"/>
        <source>±30 ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/pair_rows.py"/>
        <source>±{0:.0f} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/lens.py"/>
        <source>±{0} frames</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/rail.py"/>
        <source>±{0} ms</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>“{0}” and its kit are written to “{1}”</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/application.py"/>
        <source>“{0}” could not be written. Choose another place, and an ending like .png.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="errors.py"/>
        <source>“{0}” could not be written: {1}. {2}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>“{0}” holds no pattern. Choose the folder of one.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>“{0}” is a new pattern: the old one is kept in the list</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/keeping.py"/>
        <source>“{0}” is a template: Session ▸ New from a template</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>“{0}” is kept in the library, as {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/tightening.py"/>
        <source>“{0}” is kept: Shift+V goes from variant to variant</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>“{0}” is no longer in the library; its file lies in {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/transport_bar.py"/>
        <source>“{0}” is no tempo: {1:.0f} to {2:.0f} bpm.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/learning.py"/>
        <source>“{0}” is not in sight: show its tray, then turn the control</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/session_files.py"/>
        <source>“{0}” is open {1}.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/document.py"/>
        <source>“{0}” is open {1}: this is a copy, to be saved elsewhere.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/panels/groove_shelf.py"/>
        <source>“{0}” is played now</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="files/batch.py"/>
        <source>“{0}” is too large for this machine's memory.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/stages/export.py"/>
        <source>“{0}” is written</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>“{0}” is written to {1}</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="bridge/taking.py"/>
        <source>“{0}” lacks {1:.1f} s: the disk was too slow for that long.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>“{0}” leaves gaps at {1}: choose more, or JACK as sound output.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/recovery.py"/>
        <source>“{0}” was not closed properly.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/recovery.py"/>
        <source>“{0}” was recorded and is in no saved session.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/patterns.py"/>
        <source>“{0}”: {1} on keys</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/commands/grooves.py"/>
        <source>“{0}”: {1} steps{2}. Choose a track to play it</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/dialogs/preferences.py"/>
        <source>−1234.5 in every language. What is typed may have a comma.</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/strength_lane.py"/>
        <source>■ low</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/strength_lane.py"/>
        <source>▲ high</source>
        <translation type="unfinished"></translation>
    </message>
    <message>
        <location filename="ui/timeline/strength_lane.py"/>
        <source>● mid</source>
        <translation type="unfinished"></translation>
    </message>
</context>
</TS>
