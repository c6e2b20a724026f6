/** What the web build keeps of class-validator; the rest of the library is left out. */
module.exports = {
  /** Rules that the contract takes from it. */
  rules: [
    'ArrayMaxSize',
    'ArrayMinSize',
    'ArrayUnique',
    'Equals',
    'IsBoolean',
    'IsDefined',
    'IsIn',
    'IsInt',
    'IsNumber',
    'IsObject',
    'IsString',
    'IsUUID',
    'Length',
    'Matches',
    'Max',
    'Min',
    'ValidateBy',
    'ValidateIf',
    'ValidateNested',
  ],
  /** Checks of texts that these rules stand on. */
  checks: ['isLength', 'isUUID', 'matches'],
};
