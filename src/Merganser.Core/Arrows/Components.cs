namespace Merganser.Core.Arrows;

/// <summary>What an arrow is made of.</summary>
public enum ComponentClass { Shaft, Insert, Point, Nock, Vane, Wrap }

public enum PointKind { Target, Field, GlueIn, FixedHead, MechanicalHead }

/// <summary>A shaft of one spine. Positions along the arrow are inches from the nock throat.</summary>
/// <param name="Maker">Maker.</param>
/// <param name="Name">Family.</param>
/// <param name="Spine">Static spine, ASTM: deflection in inches at 28 in span under 1.94 lb.</param>
/// <param name="GrainsPerInch">Mass of an inch.</param>
/// <param name="OuterDiameter">Outer diameter, inches.</param>
/// <param name="MaxLength">Length as sold, inches.</param>
/// <param name="Material">Carbon, aluminium, wood …</param>
public sealed record Shaft(string Maker, string Name, double Spine, double GrainsPerInch, double OuterDiameter, double MaxLength, string Material);

/// <summary>An insert, outsert or collar at the front.</summary>
/// <param name="Maker">Maker.</param>
/// <param name="Name">Name.</param>
/// <param name="Grains">Mass.</param>
/// <param name="Length">Length, inches.</param>
/// <param name="CentreAhead">Its centre of mass ahead of the shaft's end; negative inside the shaft.</param>
public sealed record Insert(string Maker, string Name, double Grains, double Length, double CentreAhead);

/// <summary>A point or head.</summary>
/// <param name="Maker">Maker.</param>
/// <param name="Name">Name.</param>
/// <param name="Kind">Target, field, glue-in or head.</param>
/// <param name="Grains">Mass.</param>
/// <param name="Length">Length ahead of the shaft's end, inches.</param>
/// <param name="CentreAhead">Its centre of mass ahead of the shaft's end; negative for a shank inside it.</param>
public sealed record Point(string Maker, string Name, PointKind Kind, double Grains, double Length, double CentreAhead);

/// <summary>A nock.</summary>
/// <param name="Maker">Maker.</param>
/// <param name="Name">Name.</param>
/// <param name="Grains">Mass, with pin or bushing.</param>
/// <param name="TubeStart">Throat to where the shaft's tube starts, inches (x₀).</param>
/// <param name="Centre">Throat to its centre of mass, inches.</param>
public sealed record Nock(string Maker, string Name, double Grains, double TubeStart, double Centre);

/// <summary>One vane.</summary>
/// <param name="Maker">Maker.</param>
/// <param name="Name">Name.</param>
/// <param name="Grains">Mass of one.</param>
/// <param name="Length">Length, inches.</param>
/// <param name="Height">Height, inches.</param>
public sealed record Vane(string Maker, string Name, double Grains, double Length, double Height);

/// <summary>A wrap.</summary>
/// <param name="Maker">Maker.</param>
/// <param name="Name">Name.</param>
/// <param name="Grains">Mass.</param>
/// <param name="Length">Length from the start of the tube, inches.</param>
public sealed record Wrap(string Maker, string Name, double Grains, double Length);
